<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import type { Delivery } from '@/api/types'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'
import SoftEdges from './SoftEdges.vue'

/** Each setting is an edit like any other: saved, undone, and weighed anew. */
const USUAL_WIDTHS = [240, 320, 400, 480, 640]
const COLOR_STEPS = [2, 4, 8, 16, 32, 48, 64, 96, 128, 192, 256]

const NOTHING_YET: Delivery = {
  width: 1,
  colors: 256,
  dither: 'NONE',
  matte: '',
  encoding: { ditherAmount: 0, palette: 'AUTO', tolerance: 0, alphaCutoff: 128, keptColors: [], comment: '' },
}

const store = useReel()
const delivery = computed(() => store.reel?.delivery ?? NOTHING_YET)
const widths = computed(() => {
  const own = store.reel?.canvas.width ?? 0
  const usual = USUAL_WIDTHS.filter((width) => width <= own)
  return own <= (store.reel?.maxWidth ?? 0) && !usual.includes(own) ? [...usual, own] : usual
})

const colorStep = ref(0)
watch(
  () => delivery.value.colors,
  (colors) => (colorStep.value = COLOR_STEPS.findLastIndex((step) => step <= colors)),
  { immediate: true },
)

const plays = computed(() => store.reel?.plays ?? 0)
const playsKind = computed(() => (plays.value === 0 ? 'forever' : plays.value === 1 ? 'once' : 'times'))

async function change(part: Partial<Delivery>): Promise<void> {
  await store.dispatch({ type: 'setDelivery', ...delivery.value, ...part })
}

async function setPlays(times: number): Promise<void> {
  if (times !== plays.value) {
    await store.dispatch({ type: 'setPlays', times })
  }
}

const setPlaysKind = (kind: string): Promise<void> =>
  setPlays(kind === 'forever' ? 0 : kind === 'once' ? 1 : Math.max(2, plays.value || 3))
</script>

<template>
  <div class="settings">
    <fieldset>
      <legend>Width</legend>
      <div class="row">
        <number-field :value="store.reel!.deliveredSize.width" label="Width in pixels" suffix="px" :min="1" :max="store.reel!.maxWidth"
          :step="10" class="field" @done="(width) => change({ width })" />
        <span class="quiet">× {{ store.reel!.deliveredSize.height }} px</span>
      </div>
      <div class="chips" role="group" aria-label="Usual widths">
        <v-btn size="small" variant="outlined" class="chip" :active="delivery.width === 0" :aria-pressed="delivery.width === 0"
          title="As wide as the canvas up to 800 px, else 480" @click="change({ width: 0 })">as the canvas</v-btn>
        <v-btn v-for="width in widths" :key="width" size="small" variant="outlined" class="chip"
          :active="delivery.width === width" :aria-pressed="delivery.width === width" @click="change({ width })">{{ width
          }}</v-btn>
      </div>
    </fieldset>

    <fieldset>
      <legend>Colors</legend>
      <div class="row">
        <number-field :value="delivery.colors" label="Number of colors" v-bind="limits.Delivery.colors" class="field"
          @done="(colors) => change({ colors })" />
        <v-slider v-model="colorStep" :min="0" :max="COLOR_STEPS.length - 1" :step="1" hide-details color="primary"
          aria-label="Colors in steps" :aria-valuetext="`${COLOR_STEPS[colorStep]} colors`"
          @end="change({ colors: COLOR_STEPS[colorStep] })" />
      </div>
      <v-switch :model-value="delivery.dither !== 'NONE'" label="Dithering" color="primary" density="compact" hide-details
        @update:model-value="(on) => change({ dither: on ? 'SIERRA_LITE' : 'NONE' })" />
      <p class="quiet hint">Smoother gradients, a heavier file.</p>
    </fieldset>

    <fieldset>
      <legend>Soft edges</legend>
      <soft-edges :value="delivery.matte" @done="(matte) => change({ matte })" />
    </fieldset>

    <fieldset>
      <legend>Plays</legend>
      <div class="row wraps">
        <v-btn-toggle :model-value="playsKind" mandatory density="compact" variant="outlined" divided color="primary"
          aria-label="How often it plays" @update:model-value="setPlaysKind">
          <v-btn value="forever" size="small">forever</v-btn>
          <v-btn value="once" size="small">once</v-btn>
          <v-btn value="times" size="small">n times</v-btn>
        </v-btn-toggle>
        <number-field v-if="playsKind === 'times'" :value="plays" label="Number of plays" :min="1" :max="limits.SetPlays.times.max"
          class="field narrow" @done="setPlays" />
      </div>
    </fieldset>
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 14px;
}

legend {
  margin-bottom: 4px;
  font: 650 15px var(--v-font-heading);
}

.row {
  display: flex;
  align-items: center;
  gap: 12px;
}

.row.wraps {
  flex-wrap: wrap;
}

.field {
  flex: 0 0 112px;
}

.narrow {
  flex-basis: 84px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}

.hint {
  margin: 0;
  font-size: 13px;
}
</style>
