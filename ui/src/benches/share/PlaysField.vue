<script setup lang="ts">
import { computed } from 'vue'
import { limits } from '@/api/limits'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'

/** How often viewers play the file. */
const store = useReel()
const plays = computed(() => store.reel?.plays ?? 0)
const kind = computed(() => (plays.value === 0 ? 'forever' : plays.value === 1 ? 'once' : 'times'))

async function set(times: number): Promise<void> {
  if (times !== plays.value) {
    await store.dispatch({ type: 'setPlays', times })
  }
}

const setKind = (wanted: string): Promise<void> =>
  set(wanted === 'forever' ? 0 : wanted === 'once' ? 1 : Math.max(2, plays.value || 3))
</script>

<template>
  <fieldset>
    <legend>Plays</legend>
    <div class="row">
      <v-btn-toggle
        :model-value="kind"
        mandatory
        density="compact"
        variant="outlined"
        divided
        color="primary"
        aria-label="How often it plays"
        @update:model-value="setKind"
      >
        <v-btn value="forever" size="small">forever</v-btn>
        <v-btn value="once" size="small">once</v-btn>
        <v-btn value="times" size="small">n times</v-btn>
      </v-btn-toggle>
      <number-field
        v-if="kind === 'times'"
        :value="plays"
        label="Number of plays"
        :min="1"
        :max="limits.SetPlays.times.max"
        class="field"
        @done="set"
      />
    </div>
  </fieldset>
</template>

<style scoped>
legend {
  margin-bottom: 4px;
  font: 650 15px var(--v-font-heading);
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}

.field {
  flex: 0 0 84px;
}
</style>
