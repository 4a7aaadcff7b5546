<script setup lang="ts">
import { computed } from 'vue'
import { limits } from '@/api/limits'
import NumberField from '@/parts/NumberField.vue'
import { MICROS } from './clip'
import type { Clip } from './clip'
import type { Stretch } from './stretch'

/** The stretch in numbers, how many frames of it, and how wide. */
const props = defineProps<{ clip: Clip; stretch: Stretch }>()
const emit = defineEmits<{ seek: [moment: number] }>()
const RATES = [6, 8, 10, 12, 15, 25]
const WIDTHS = [320, 480, 640, 960]
const { from, to, rate, width } = props.stretch

const seconds = (moment: number): number => Math.round(moment / 1000) / 1000
/** Whole seconds would leave out the last part of the clip. */
const lengthSeconds = computed(() => Math.ceil(props.clip.length / 1000) / 1000)

async function toMoment(secondsTyped: number, which: 'from' | 'to'): Promise<void> {
  const { stretch, clip } = props
  const moment = await stretch.pictureAt(Math.min(clip.length, secondsTyped * MICROS))
  if (which === 'from') {
    stretch.moveFrom(moment)
    emit('seek', from.value)
  } else {
    stretch.moveTo(moment)
    emit('seek', to.value - 1)
  }
}
</script>

<template>
  <div class="pair">
    <number-field
      :value="seconds(from)"
      label="Begin at"
      labelled
      suffix="s"
      :min="0"
      :max="lengthSeconds"
      :step="0.1"
      :decimals="3"
      @done="(at) => toMoment(at, 'from')"
    />
    <number-field
      :value="seconds(to)"
      label="End at"
      labelled
      suffix="s"
      :min="0"
      :max="lengthSeconds"
      :step="0.1"
      :decimals="3"
      @done="(at) => toMoment(at, 'to')"
    />
  </div>
  <div class="pair">
    <number-field
      :value="rate.perSecond || null"
      label="A second"
      labelled
      :min="0.1"
      :max="limits.PicksRequest.perSecond.max"
      :decimals="2"
      @done="(perSecond) => Object.assign(rate, { perSecond, every: 0 })"
    />
    <number-field
      v-if="clip.exact"
      :value="rate.every || null"
      label="Every n-th"
      labelled
      :min="1"
      :max="limits.PicksRequest.every.max"
      @done="(every) => Object.assign(rate, { perSecond: 0, every })"
    />
  </div>
  <div class="chips" role="group" aria-label="Frames a second">
    <v-btn
      v-for="each in RATES"
      :key="each"
      size="small"
      variant="outlined"
      class="chip"
      :active="rate.perSecond === each"
      :aria-pressed="rate.perSecond === each"
      @click="Object.assign(rate, { perSecond: each, every: 0 })"
      >{{ each }}</v-btn
    >
  </div>
  <number-field
    :value="width"
    label="Width"
    labelled
    suffix="px"
    :min="16"
    :max="Math.max(16, clip.size.width)"
    :step="10"
    @done="(value) => (width = value)"
  />
  <div class="chips" role="group" aria-label="Widths">
    <v-btn
      v-for="each in WIDTHS.filter((each) => each < clip.size.width)"
      :key="each"
      size="small"
      variant="outlined"
      class="chip"
      :active="width === each"
      :aria-pressed="width === each"
      @click="width = each"
      >{{ each }}</v-btn
    >
    <v-btn
      size="small"
      variant="outlined"
      class="chip"
      :active="width === clip.size.width"
      :aria-pressed="width === clip.size.width"
      @click="width = clip.size.width"
      >As it is</v-btn
    >
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.chips .chip {
  min-width: 0;
  padding: 0 9px;
}
</style>
