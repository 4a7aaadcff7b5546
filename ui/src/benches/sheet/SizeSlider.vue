<script setup lang="ts">
/** How large the cards of the sheet are. */
const width = defineModel<number>({ required: true })
</script>

<template>
  <label class="sizes">
    <span class="unseen">Size of the cards</span>
    <input v-model.number="width" type="range" min="72" max="320" step="4" title="Size of the cards" />
  </label>
</template>

<style scoped>
.sizes {
  padding: 2px 10px;
  border-radius: 12px;
  background: color-mix(in srgb, var(--paper) 86%, transparent);
}

input {
  display: block;
  width: 110px;
  accent-color: var(--ink2);
}
</style>
