<script setup lang="ts">
import { limits } from '@/api/limits'
import type { Size } from '@/api/types'
import NumberField from './NumberField.vue'

/** The size of a canvas, in numbers or from a few. */
defineProps<{ sizes: { size: Size; title: string }[]; chips: string }>()
const size = defineModel<Size>({ required: true })

const isSize = ({ width, height }: Size): boolean => width === size.value.width && height === size.value.height
</script>

<template>
  <div class="row">
    <number-field
      :value="size.width"
      label="Canvas width"
      suffix="px"
      v-bind="limits.SetCanvas.width"
      :step="10"
      @done="(width) => (size = { ...size, width })"
    />
    <span class="quiet">×</span>
    <number-field
      :value="size.height"
      label="Canvas height"
      suffix="px"
      v-bind="limits.SetCanvas.height"
      :step="10"
      @done="(height) => (size = { ...size, height })"
    />
  </div>
  <div class="chips" role="group" :aria-label="chips">
    <v-btn
      v-for="each in sizes"
      :key="each.title"
      size="small"
      variant="outlined"
      class="chip"
      :active="isSize(each.size)"
      :aria-pressed="isSize(each.size)"
      @click="size = { ...each.size }"
      >{{ each.title }}</v-btn
    >
  </div>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 10px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
</style>
