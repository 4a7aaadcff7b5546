<script setup lang="ts">
import { computed } from 'vue'

/** The page color soft edges are mixed with, or none: then a pixel is there or it is not. */
const props = defineProps<{ value: string }>()
const emit = defineEmits<{ done: [value: string] }>()

const kept = computed(() => props.value === '')
const FIRST = 'ffffff'

function pick(event: Event): void {
  emit('done', (event.target as HTMLInputElement).value.slice(1))
}
</script>

<template>
  <div class="row">
    <v-btn-toggle :model-value="kept ? 'kept' : 'mixed'" mandatory density="compact" variant="outlined" divided
      color="primary" aria-label="Soft edges" @update:model-value="(kind) => emit('done', kind === 'kept' ? '' : value || FIRST)">
      <v-btn value="kept" size="small">cut hard</v-btn>
      <v-btn value="mixed" size="small">mixed with</v-btn>
    </v-btn-toggle>
    <label v-if="!kept" class="color">
      <span class="unseen">Page color</span>
      <input type="color" :value="`#${value}`" @change="pick" />
      <span>#{{ value }}</span>
    </label>
  </div>
</template>

<style scoped>
.row,
.color {
  display: flex;
  align-items: center;
  gap: 8px;
}

input {
  width: 36px;
  height: 30px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  cursor: pointer;
}
</style>
