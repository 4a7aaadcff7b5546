<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed, ref } from 'vue'
import type { CSSProperties } from 'vue'
import { limits } from '@/api/limits'
import ColorField from '@/parts/ColorField.vue'
import NumberField from '@/parts/NumberField.vue'
import { vRadios } from '@/parts/radios'
import { usePage } from '@/stage/pages'
import { HANDS, useDrawing } from './drawing'
import type { Body } from './drawing'
import { usePens } from './pens'
import type { TrayPen } from './pens'
import { AFTER, BEFORE } from './shine'
import SwatchTools from './SwatchTools.vue'

/** The pens, what the hand does with the one that is taken, its colors, and what shines through. */
const MOST_WIDTH = 120
const SHOWN_WIDTH = 15
const COUNTS = [0, 1, 2, 3, 99]

const drawing = useDrawing()
const pens = usePens()
const page = usePage()
const more = ref(false)

const lineOf = (pen: TrayPen): CSSProperties => ({
  stroke: `#${pen.color}`,
  strokeWidth: `${Math.max(1, Math.min(SHOWN_WIDTH, pen.width * 0.6))}px`,
  opacity: pen.opacity / 100,
  filter: pen.softness > 30 ? 'blur(1px)' : undefined,
})
const figure = computed(() => drawing.hand === 'box' || drawing.hand === 'round')
const BODIES: { value: Body; title: string }[] = [
  { value: 'line', title: 'outline' },
  { value: 'full', title: 'filled' },
  { value: 'both', title: 'both' },
]
const BY = [
  { value: 'INK', title: 'the ink' },
  { value: 'STILL', title: 'the still' },
  { value: 'SEEN', title: 'all that is seen' },
] as const
const MIRRORS = [
  { value: 'NONE', title: 'off' },
  { value: 'LEFT_RIGHT', title: 'left and right' },
  { value: 'UP_DOWN', title: 'up and down' },
  { value: 'BOTH', title: 'both' },
] as const

const about = computed(() => HANDS.find((each) => each.value === drawing.hand)?.about ?? '')
const summary = computed(() => {
  const { width, softness, steady, opacity, hard } = pens.pen
  const edge = hard ? 'whole pixels' : softness > 0 ? `soft ${softness} %` : 'sharp'
  return `${width} px, ${edge}${opacity < 100 ? `, ${opacity} %` : ''}${steady > 0 ? `, steady ${steady} %` : ''}`
})

function useAny(event: Event): void {
  const color = (event.target as HTMLInputElement).value.slice(1)
  drawing.use(color)
  drawing.keepSwatch(color)
}

const countText = (count: number): string => (count === 99 ? 'all' : String(count))
</script>

<template>
  <section class="tray" aria-label="Pen tray" :style="{ '--pen-page': page }">
    <div class="stack">
      <div v-radios class="part pens" role="radiogroup" aria-label="Pens">
        <button
          v-for="(pen, i) in pens.pens"
          :key="i"
          type="button"
          class="pen"
          role="radio"
          :aria-checked="pens.taken === i"
          :class="{ taken: pens.taken === i }"
          :title="`${pen.name} (${i + 1})`"
          @click="pens.take(i)"
        >
          <svg viewBox="0 0 60 26" aria-hidden="true">
            <path d="M8 18C18 2 26 24 36 13S48 6 52 8" :style="lineOf(pen)" />
          </svg>
          <span class="name">{{ pen.name }}</span><span class="key" aria-hidden="true">{{ i + 1 }}</span>
        </button>
        <button
          type="button"
          class="pen another"
          :disabled="!pens.hasRoom"
          title="Puts another pen like this one into the tray"
          @click="pens.add()"
        >
          <v-icon :icon="mdiPlus" size="22" /><span class="name">Another</span>
        </button>
      </div>
      <div v-radios class="part hands" role="radiogroup" aria-label="What the pen does">
        <v-btn
          v-for="each in HANDS"
          :key="each.value"
          size="small"
          variant="outlined"
          class="chip"
          role="radio"
          :active="drawing.hand === each.value"
          :aria-checked="drawing.hand === each.value"
          :title="`${each.about} (${each.key.toUpperCase()})`"
          @click="drawing.hand = each.value"
          >{{ each.title }}</v-btn
        >
      </div>
    </div>
    <div class="stack">
      <div class="part pen-settings">
        <div class="row">
          <b class="of">{{ pens.pen.name }}</b><span class="quiet">{{ summary }}</span>
          <v-btn size="small" variant="text" class="right" :active="more" :aria-expanded="more" @click="more = !more">{{
            more ? 'Less' : 'More'
          }}</v-btn>
        </div>
        <div class="row">
          <v-slider
            :model-value="pens.pen.width"
            :min="1"
            :max="MOST_WIDTH"
            :step="1"
            hide-details
            color="primary"
            density="compact"
            aria-label="Width of the line"
            @update:model-value="(width: number) => pens.change({ width })"
          />
          <number-field
            :value="pens.pen.width"
            label="Width of the line"
            suffix="px"
            :min="1"
            :max="500"
            variant="outlined"
            density="compact"
            hide-details="auto"
            class="number"
            @done="(width) => pens.change({ width })"
          />
        </div>
        <div class="row swatches" role="group" aria-label="Colors">
          <button
            v-for="color in drawing.swatches"
            :key="color"
            type="button"
            class="swatch"
            :class="{ taken: pens.pen.color === color }"
            :style="{ background: `#${color}` }"
            :aria-label="`Color ${color}`"
            :aria-pressed="pens.pen.color === color"
            :title="`#${color}`"
            @click="drawing.use(color)"
          />
          <input
            type="color"
            class="any"
            :value="`#${pens.pen.color}`"
            aria-label="Any color"
            title="Any color"
            @change="useAny"
          />
        </div>
      </div>
      <div class="part options" role="group" aria-label="Of what the pen does">
        <template v-if="figure">
          <span class="quiet">drawn as</span>
          <v-btn
            v-for="each in BODIES"
            :key="each.value"
            size="small"
            variant="outlined"
            class="chip"
            :active="drawing.settings.body === each.value"
            :aria-pressed="drawing.settings.body === each.value"
            @click="drawing.set({ body: each.value })"
            >{{ each.title }}</v-btn
          >
          <color-field
            v-if="drawing.settings.body === 'both'"
            :model-value="drawing.settings.inside"
            label="Inside"
            class="inside"
            @update:model-value="(inside) => drawing.set({ inside })"
          />
        </template>
        <template v-else-if="drawing.hand === 'fill'">
          <span class="quiet">goes by</span>
          <v-btn
            v-for="each in BY"
            :key="each.value"
            size="small"
            variant="outlined"
            class="chip"
            :active="drawing.settings.by === each.value"
            :aria-pressed="drawing.settings.by === each.value"
            @click="drawing.set({ by: each.value })"
            >{{ each.title }}</v-btn
          >
          <number-field
            :value="drawing.settings.gap"
            label="Closes gaps of"
            labelled
            suffix="px"
            v-bind="limits.Pour.gap"
            variant="outlined"
            density="compact"
            hide-details="auto"
            class="number wide"
            @done="(gap) => drawing.set({ gap })"
          />
          <number-field
            :value="drawing.settings.tolerance"
            label="Tolerance"
            labelled
            suffix="%"
            v-bind="limits.Pour.tolerance"
            variant="outlined"
            density="compact"
            hide-details="auto"
            class="number wide"
            @done="(tolerance) => drawing.set({ tolerance })"
          />
          <v-checkbox
            :model-value="drawing.settings.corners"
            label="over corners"
            density="compact"
            hide-details
            @update:model-value="(on) => drawing.set({ corners: on === true })"
          />
        </template>
        <span v-else class="quiet">{{ about }}</span>
      </div>
    </div>
    <div class="part shine">
      <div class="row">
        <b>Shining through</b>
        <v-btn
          size="x-small"
          variant="outlined"
          class="chip right"
          :active="drawing.settings.round"
          :aria-pressed="drawing.settings.round"
          :disabled="!drawing.settings.shines"
          title="Before the first page comes the last"
          @click="drawing.set({ round: !drawing.settings.round })"
          >over the seam</v-btn
        >
        <v-switch
          :model-value="drawing.settings.shines"
          density="compact"
          hide-details
          color="primary"
          aria-label="Pages shine through"
          @update:model-value="(on) => drawing.set({ shines: on === true })"
        />
      </div>
      <div
        v-for="side in ['before', 'after'] as const"
        :key="side"
        v-radios
        class="row"
        role="radiogroup"
        :aria-label="`Pages ${side}`"
      >
        <span
          class="mark"
          :class="side"
          :style="{ background: `#${side === 'before' ? BEFORE : AFTER}` }"
          aria-hidden="true"
        /><span class="side">{{ side }}</span>
        <v-btn
          v-for="count in COUNTS"
          :key="count"
          size="x-small"
          variant="outlined"
          class="chip count"
          role="radio"
          :active="drawing.settings[side] === count"
          :aria-checked="drawing.settings[side] === count"
          :disabled="!drawing.settings.shines"
          @click="drawing.set({ [side]: count })"
          >{{ countText(count) }}</v-btn
        >
      </div>
      <div class="row">
        <span class="quiet label">strength</span>
        <v-slider
          :model-value="drawing.settings.strength"
          :min="5"
          :max="100"
          :step="5"
          hide-details
          color="primary"
          density="compact"
          aria-label="How strongly pages shine through"
          :disabled="!drawing.settings.shines || drawing.settings.lit"
          @update:model-value="(strength: number) => drawing.set({ strength })"
        />
        <v-btn
          size="x-small"
          variant="outlined"
          class="chip"
          :active="drawing.settings.lit"
          :aria-pressed="drawing.settings.lit"
          :disabled="!drawing.settings.shines"
          title="As on a light table: all pages undimmed, in their own colors"
          @click="drawing.set({ lit: !drawing.settings.lit })"
          >light table</v-btn
        >
      </div>
    </div>
    <div v-if="more" class="part extra" role="group" aria-label="More of this pen">
      <v-text-field
        :model-value="pens.pen.name"
        label="Name"
        variant="outlined"
        density="compact"
        hide-details
        class="named"
        maxlength="20"
        @change="(event: Event) => pens.change({ name: (event.target as HTMLInputElement).value || 'Pen' })"
      />
      <number-field
        :value="pens.pen.opacity"
        label="Opacity"
        labelled
        suffix="%"
        v-bind="limits.Pen.opacity"
        variant="outlined"
        density="compact"
        hide-details="auto"
        class="number wide"
        @done="(opacity) => pens.change({ opacity })"
      />
      <number-field
        :value="pens.pen.softness"
        label="Soft edge"
        labelled
        suffix="%"
        v-bind="limits.Pen.softness"
        variant="outlined"
        density="compact"
        hide-details="auto"
        class="number wide"
        @done="(softness) => pens.change({ softness })"
      />
      <number-field
        :value="pens.pen.steady"
        label="Steadies"
        labelled
        suffix="%"
        :min="0"
        :max="100"
        variant="outlined"
        density="compact"
        hide-details="auto"
        class="number wide"
        @done="(steady) => pens.change({ steady })"
      />
      <number-field
        :value="pens.pen.pressed"
        label="Pressure"
        labelled
        suffix="%"
        :min="0"
        :max="100"
        variant="outlined"
        density="compact"
        hide-details="auto"
        class="number wide"
        @done="(pressed) => pens.change({ pressed })"
      />
      <v-checkbox
        :model-value="pens.pen.hard"
        label="whole pixels"
        density="compact"
        hide-details
        @update:model-value="(on) => pens.change({ hard: on === true })"
      />
      <span class="quiet">mirror</span>
      <v-btn
        v-for="each in MIRRORS"
        :key="each.value"
        size="small"
        variant="outlined"
        class="chip"
        :active="drawing.settings.mirroring === each.value"
        :aria-pressed="drawing.settings.mirroring === each.value"
        @click="drawing.set({ mirroring: each.value })"
        >{{ each.title }}</v-btn
      >
      <swatch-tools />
      <v-btn
        size="small"
        variant="outlined"
        :prepend-icon="mdiDeleteOutline"
        :disabled="pens.pens.length < 2"
        @click="pens.drop()"
        >Put this pen away</v-btn
      >
    </div>
  </section>
</template>

<style scoped src="./tray.css"></style>
