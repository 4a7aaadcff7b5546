<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import NumberField from '@/parts/NumberField.vue'
import { durationText, framesText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { useSlimming } from './slimming'
import { everyText } from './words'

/** Which changes are stored again, and how many of the frames. */
const EVERY = [1, 2, 3, 4]
const store = useReel()
const slimming = useSlimming()
const delivery = computed(() => slimming.delivery!)
const tolerance = computed(() => delivery.value.encoding.tolerance)
const every = computed(() => delivery.value.framing.every)
const slid = ref(0)
watch(tolerance, (now) => (slid.value = now), { immediate: true })
const playing = computed(() => store.frames.filter((frame) => !frame.leftOut).length)
const delivered = computed(() => Math.ceil(playing.value / every.value))
const setTolerance = (now: number): Promise<boolean> => slimming.changeEncoding({ tolerance: now })
</script>

<template>
  <div class="panel">
    <div class="row">
      <span class="name">tolerance</span>
      <number-field
        :value="tolerance"
        label="Tolerance"
        v-bind="limits.Encoding.tolerance"
        :step="5"
        class="narrow"
        @done="setTolerance"
      />
      <v-slider
        v-model="slid"
        :min="0"
        :max="100"
        :step="1"
        hide-details
        color="primary"
        class="slider"
        aria-label="Tolerance in percent"
        @end="setTolerance"
        @keyup="slid !== tolerance && setTolerance(slid)"
      />
    </div>
    <p class="quiet">
      Leaves out change that nobody sees, as the noise of a camera. At 0 every pixel is as the palette has it; above 40
      smears begin to show.
    </p>
    <div class="row" role="group" aria-label="Frames delivered">
      <span class="name">frames</span>
      <v-btn
        v-for="each in EVERY"
        :key="each"
        size="small"
        variant="outlined"
        class="chip"
        :active="every === each"
        :aria-pressed="every === each"
        :disabled="each > playing"
        @click="slimming.changeFraming({ every: each })"
        >{{ everyText(each) }}</v-btn
      >
      <number-field
        :value="every"
        label="One frame in"
        labelled
        :min="limits.Framing.every.min"
        :max="limits.Framing.every.max"
        class="narrow"
        @done="(each) => slimming.changeFraming({ every: each })"
      />
    </div>
    <p class="quiet">
      {{ framesText(delivered) }} of {{ playing }} in the file, {{ durationText(store.reel!.fileMillis) }} as before.
      The frames themselves stay.
    </p>
    <p v-if="slimming.facts" class="advice">{{ slimming.facts.advice }}</p>
  </div>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.advice {
  margin: 0;
  padding: 8px 12px;
  border-radius: var(--round);
  background: var(--sunk);
  font-size: 13px;
}
</style>
