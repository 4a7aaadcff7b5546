<script setup lang="ts">
import { computed } from 'vue'

/** Whether soft edges become hard ones, or are mixed with the color of the page. */
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
      <v-btn value="kept" size="small" title="A pixel is opaque or transparent">hard edges</v-btn>
      <v-btn value="mixed" size="small" title="Half-transparent pixels are mixed with the color of the page">mixed with a page color</v-btn>
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
