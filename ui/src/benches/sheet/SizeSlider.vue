<script setup lang="ts">
/** How large the cards of the sheet are: as chosen, or, while that is 0, so that all can be seen. */
defineProps<{ now: number }>()
const width = defineModel<number>({ required: true })
</script>

<template>
  <div class="sizes">
    <v-btn v-if="width > 0" size="x-small" title="So that all can be seen, if they can" @click="width = 0">Fit</v-btn>
    <input
      :value="width || now"
      type="range"
      min="72"
      max="320"
      step="4"
      title="Size of the cards"
      aria-label="Size of the cards"
      @input="width = Number(($event.target as HTMLInputElement).value)"
    />
  </div>
</template>

<style scoped>
.sizes {
  display: flex;
  align-items: center;
  gap: 6px;
}

input {
  width: 110px;
  height: 24px;
  accent-color: var(--ink2);
}
</style>
