<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
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
import PenSettings from './PenSettings.vue'
import ShineSettings from './ShineSettings.vue'

/** The pens, what the hand does with the one that is taken, and its colors. */
const MOST_WIDTH = 120
const SHOWN_WIDTH = 15

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
    <shine-settings />
    <pen-settings v-if="more" />
  </section>
</template>

<style scoped src="./tray.css"></style>
