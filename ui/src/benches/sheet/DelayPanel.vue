<script setup lang="ts">
import { computed } from 'vue'
import { delayText, framesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { useArranging } from '@/reel/arranging'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'

const COMMON = [40, 60, 80, 100, 150, 200, 500, 1000, 2000]

const store = useReel()
const selection = useSelection()
const arranging = useArranging()

const frames = computed(() => (selection.ids.length > 0 ? selection.frames : store.frames))
const same = computed(() => {
  const first = frames.value[0]?.delayMillis ?? null
  return frames.value.every((frame) => frame.delayMillis === first) ? first : null
})
const title = computed(() => {
  if (selection.ids.length === 0) {
    return 'Hold every frame for'
  }
  const only = selection.ids.length === 1 ? store.ids.indexOf(selection.ids[0] as number) + 1 : 0
  return only > 0 ? `Hold frame ${only} for` : `Hold ${framesText(selection.ids.length)} for`
})
const pace = computed(() => {
  if (same.value === null) {
    const delays = frames.value.map((frame) => frame.delayMillis)
    return `now ${delayText(Math.min(...delays))} to ${delayText(Math.max(...delays))}`
  }
  return `${(1000 / same.value).toFixed(1).replace(/\.0$/, '')} frames a second`
})
</script>

<template>
  <section v-if="frames.length > 0" aria-label="Delay">
    <h2>{{ title }}</h2>
    <div class="row">
      <number-field :value="same" label="Delay in ms" suffix="ms" placeholder="mixed" :min="10" :max="600000" :step="10"
        class="field" @done="arranging.setDelay" />
      <span class="quiet">{{ pace }}</span>
    </div>
    <div class="common" role="group" aria-label="Common delays">
      <v-btn v-for="millis in COMMON" :key="millis" size="small" variant="outlined" :active="same === millis"
        :aria-pressed="same === millis" class="chip" @click="arranging.setDelay(millis)">{{ delayText(millis) }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 14px;
  margin: 8px 0 10px;
}

.field {
  max-width: 150px;
}

.common {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
