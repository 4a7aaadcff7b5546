<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import DropMenu from '@/parts/DropMenu.vue'
import { delayText, framesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { useArranging } from './arranging'
import { useQuestions } from './questions'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { UNITS } from './units'
import type { Unit } from './units'

/** How long frames show: the chosen ones, or all. */
/** Viewers take a delay of 0 for none, and show the frame as long as they like. */
const TOO_SHORT = '10 ms is the shortest delay that a GIF can hold and that differs from none.'
const COMMON = [40, 50, 60, 80, 100, 200, 500, 1000, 2000]

const store = useReel()
const selection = useSelection()
const arranging = useArranging()
const questions = useQuestions()
const unit = useLocalStorage<Unit>('dobbin.unit', 'ms')

const frames = computed(() => (selection.ids.length > 0 ? selection.frames : store.frames))
const playing = computed(() => frames.value.filter((frame) => !frame.leftOut))
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
/** What the file will hold, where it is not what was typed. */
const inFile = computed(() => {
  if (same.value === null) {
    const delays = frames.value.map((frame) => frame.delayMillis)
    return `now ${delayText(Math.min(...delays))} to ${delayText(Math.max(...delays))}`
  }
  const held = [...new Set(playing.value.map((frame) => frame.fileMillis))].sort((a, b) => a - b)
  if (held.length === 0) {
    return 'left out'
  }
  return held.length === 1
    ? `in the file: ${delayText(held[0] as number)}`
    : `in the file: ${held.join(' and ')} ms in turn`
})
const field = computed(() => UNITS[unit.value])

const CHANGES = [
  { label: 'Fit the total…', run: questions.fitTotal },
  { label: 'Add to each…', run: questions.addTime },
  { label: 'Make it last … %', run: questions.scale },
  { label: 'Pace by date…', run: questions.paceByDate },
]
</script>

<template>
  <section v-if="frames.length > 0" aria-label="Delay">
    <h2>{{ title }}</h2>
    <div class="row">
      <number-field
        :value="same === null ? null : field.fromMillis(same)"
        :label="`Delay in ${field.label}`"
        placeholder="mixed"
        :min="field.min"
        :max="field.max"
        :step="field.step"
        :decimals="field.decimals"
        :too-small="unit === 'fps' ? undefined : TOO_SHORT"
        class="field"
        @done="(value) => arranging.setDelay(field.toMillis(value))"
      />
      <v-btn-toggle
        v-model="unit"
        mandatory
        density="compact"
        variant="outlined"
        divided
        aria-label="Unit"
        class="units"
      >
        <v-btn v-for="(each, key) in UNITS" :key="key" :value="key" size="small">{{ each.label }}</v-btn>
      </v-btn-toggle>
      <span class="quiet held" role="status">{{ inFile }}</span>
    </div>
    <div class="chips" role="group" aria-label="Common delays">
      <v-btn
        v-for="millis in COMMON"
        :key="millis"
        size="small"
        variant="outlined"
        :active="same === millis"
        :aria-pressed="same === millis"
        :aria-label="delayText(millis)"
        :title="delayText(millis)"
        class="chip"
        @click="arranging.setDelay(millis)"
        >{{ millis < 1000 ? millis : delayText(millis) }}</v-btn
      >
    </div>
    <div class="chips">
      <v-btn size="small" variant="outlined" class="chip" :disabled="playing.length === 0" @click="arranging.scale(50)"
        >Twice as fast</v-btn
      >
      <v-btn size="small" variant="outlined" class="chip" :disabled="playing.length === 0" @click="arranging.scale(200)"
        >Half as fast</v-btn
      >
      <drop-menu>
        <template #activator="{ props: activator }">
          <v-btn
            v-bind="activator"
            size="small"
            variant="outlined"
            class="chip"
            :append-icon="mdiChevronDown"
            :disabled="playing.length === 0"
            >Other changes</v-btn
          >
        </template>
        <v-list density="compact" role="menu" aria-label="Change of time">
          <v-list-item
            v-for="change in CHANGES"
            :key="change.label"
            role="menuitem"
            :title="change.label"
            @click="change.run()"
          />
        </v-list>
      </drop-menu>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  gap: 8px;
  margin: 6px 0 8px;
}

.field {
  flex: 0 0 112px;
}

.units {
  flex: none;
  height: 40px !important;
}

.units :deep(.v-btn) {
  min-width: 0;
  padding-inline: 10px;
}

.held {
  flex: 1 1 90px;
  min-width: 0;
  padding-top: 2px;
  font-size: 12.5px;
  line-height: 18px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  margin-top: 6px;
}

.chips .chip {
  padding-inline: 7px;
}
</style>
