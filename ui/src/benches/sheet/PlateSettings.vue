<script setup lang="ts">
import { computed } from 'vue'
import { limits } from '@/api/limits'
import NumberField from '@/parts/NumberField.vue'
import type { usePlate } from './plate'

/** How drawings are told apart, what becomes of the ground, and what of them comes to lie on one place. */
const props = defineProps<{ plate: ReturnType<typeof usePlate> }>()
const CENTERINGS = [
  { value: 'NONE', title: 'As they lie' },
  { value: 'BOX', title: 'By the middle of their box' },
  { value: 'FOOT', title: 'By their foot line' },
  { value: 'WEIGHT', title: 'By their weight' },
]
const GRID = [
  { field: 'rows', label: 'Rows' },
  { field: 'columns', label: 'Columns' },
  { field: 'marginX', label: 'Margin across' },
  { field: 'marginY', label: 'Margin down' },
  { field: 'gutterX', label: 'Gutter across' },
  { field: 'gutterY', label: 'Gutter down' },
] as const
const { finding, grid, how, way } = props.plate
const ground = computed(() => props.plate.ground.value)
</script>

<template>
  <div class="settings">
    <v-btn-toggle
      v-model="way"
      mandatory
      density="compact"
      variant="outlined"
      color="primary"
      aria-label="How drawings are told apart"
    >
      <v-btn value="grid" size="small">A grid</v-btn>
      <v-btn value="pieces" size="small">Each by itself</v-btn>
    </v-btn-toggle>
    <div v-if="way === 'grid'" class="pair">
      <number-field
        v-for="{ field, label } in GRID"
        :key="field"
        :value="grid[field]"
        :label="label"
        labelled
        v-bind="limits.GridView[field]"
        @done="(value) => (grid[field] = value)"
      />
    </div>
    <number-field
      v-else
      :value="finding.join"
      label="Join parts as near as"
      labelled
      suffix="px"
      v-bind="limits.Finding.join"
      @done="(value) => (finding.join = value)"
    />
    <v-checkbox
      v-model="finding.columnsFirst"
      density="compact"
      hide-details
      color="primary"
      label="Column by column"
    />
    <template v-if="ground !== ''">
      <number-field
        :value="finding.tolerancePercent"
        label="Unlike the ground by"
        labelled
        suffix="%"
        v-bind="limits.Finding.tolerancePercent"
        @done="(value) => (finding.tolerancePercent = value)"
      />
      <v-checkbox v-model="how.clears" density="compact" hide-details color="primary">
        <template #label>
          <span
            >Make the ground transparent
            <span v-if="ground" class="ground" :style="{ background: `#${ground}` }" :title="`#${ground}`"
          /></span>
        </template>
      </v-checkbox>
      <v-checkbox
        v-if="how.clears"
        v-model="how.enclosed"
        density="compact"
        hide-details
        color="primary"
        label="Also where a drawing encloses it"
      />
    </template>
    <v-select
      v-model="how.centering"
      :items="CENTERINGS"
      label="Lie on one another"
      variant="outlined"
      density="compact"
      hide-details
    />
    <p v-if="plate.problem.value" class="problem" role="alert">{{ plate.problem.value }}</p>
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 10px;
  align-content: start;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

.ground {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--edge);
  border-radius: 3px;
  vertical-align: -2px;
}

.problem {
  color: var(--rein);
}
</style>
