<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'
import PaletteSwatches from './PaletteSwatches.vue'
import { useSlimming } from './slimming'
import { CHOICES, PALETTES } from './words'

/** How many colors, which, and in how many palettes. */
const COUNTS = [256, 128, 64, 32, 16, 8, 4, 2]
const store = useReel()
const slimming = useSlimming()
const delivery = computed(() => slimming.delivery!)
const slid = ref(0)
watch(
  () => delivery.value.colors,
  (colors) => (slid.value = colors),
  { immediate: true },
)

const about = computed(() => CHOICES.find((each) => each.value === delivery.value.coloring.choice)?.about ?? '')
const choices = computed(() =>
  CHOICES.filter((each) => each.value !== 'OWN' || delivery.value.coloring.choice === 'OWN' || ownOf() !== null),
)

/** What the program chose, and why. */
const chosen = computed(() => {
  const facts = slimming.facts
  if (!facts || store.frames.length === 0) {
    return ''
  }
  const all =
    facts.palettes === 1 ? `One palette of ${facts.colors}` : `${facts.palettes} palettes of up to ${facts.colors}`
  const why = {
    WANTED: 'as you set',
    ONE_FRAME: 'for the one frame',
    HOLDS_ALL: 'it holds every color there is, so nothing is lost',
    AS_GOOD: 'one a frame would hardly look better',
    COLORS_CHANGE: 'the colors change too much for one',
  }[facts.reason]
  return `${all}: ${why}.`
})

/** The colors of the file as it is, for a palette of one's own to begin with. */
function ownOf(): string[] | null {
  const colors = slimming.facts?.swatches.map((swatch) => swatch.color) ?? []
  return colors.length > 0 && colors.length <= limits.Coloring.own.max ? colors : null
}

function choose(choice: (typeof CHOICES)[number]['value']): void {
  if (choice !== 'OWN') {
    void slimming.change({ coloring: { choice, own: [] } })
    return
  }
  const own = ownOf()
  if (own) {
    void slimming.takePalette(own)
  }
}
</script>

<template>
  <div class="panel">
    <div class="row">
      <number-field
        :value="delivery.colors"
        label="Number of colors"
        v-bind="limits.Delivery.colors"
        class="narrow"
        @done="(colors) => slimming.change({ colors })"
      />
      <v-slider
        v-model="slid"
        :min="limits.Delivery.colors.min"
        :max="limits.Delivery.colors.max"
        :step="1"
        hide-details
        color="primary"
        class="slider"
        aria-label="Colors"
        @end="(colors) => slimming.change({ colors })"
        @keyup="slid !== delivery.colors && slimming.change({ colors: slid })"
      />
      <span class="row" role="group" aria-label="Common numbers of colors">
        <v-btn
          v-for="count in COUNTS"
          :key="count"
          size="small"
          variant="outlined"
          class="chip"
          :active="delivery.colors === count"
          :aria-pressed="delivery.colors === count"
          @click="slimming.change({ colors: count })"
          >{{ count }}</v-btn
        >
      </span>
    </div>
    <div class="row">
      <span id="choice" class="name">which</span>
      <v-btn-toggle
        :model-value="delivery.coloring.choice"
        mandatory
        density="compact"
        variant="outlined"
        divided
        color="primary"
        aria-labelledby="choice"
        @update:model-value="choose"
      >
        <v-btn v-for="each in choices" :key="each.value" :value="each.value" size="small" :title="each.about">{{
          each.title
        }}</v-btn>
      </v-btn-toggle>
      <span class="quiet">{{ about }}</span>
    </div>
    <div class="row">
      <span id="palettes" class="name">palettes</span>
      <v-btn-toggle
        :model-value="delivery.encoding.palette"
        mandatory
        density="compact"
        variant="outlined"
        divided
        color="primary"
        aria-labelledby="palettes"
        @update:model-value="(palette) => slimming.changeEncoding({ palette })"
      >
        <v-btn v-for="each in PALETTES" :key="each.value" :value="each.value" size="small" :title="each.about">{{
          each.title
        }}</v-btn>
      </v-btn-toggle>
      <span class="quiet">{{ chosen }}</span>
    </div>
    <palette-swatches />
  </div>
</template>

<style scoped src="./panel.css"></style>
