<script setup lang="ts">
import { computed } from 'vue'
import { limits } from '@/api/limits'
import type { Fill } from '@/api/types'
import ColorField from '@/parts/ColorField.vue'
import NumberField from '@/parts/NumberField.vue'

/** Nothing, a color, or a gradient. */
defineProps<{ label: string }>()
const fill = defineModel<Fill>({ required: true })
const SECOND = 'f2b27a'

const color = computed({
  get: () => fill.value.color,
  set: (next: string) => (fill.value = { ...fill.value, color: next, toColor: next === '' ? '' : fill.value.toColor }),
})
const toColor = computed({
  get: () => fill.value.toColor,
  set: (next: string) => (fill.value = { ...fill.value, toColor: next }),
})

function toggle(): void {
  toColor.value = toColor.value === '' ? SECOND : ''
}
</script>

<template>
  <div class="row">
    <color-field v-model="color" :label="label" none="None" />
    <v-btn
      v-if="color !== ''"
      size="small"
      variant="outlined"
      class="chip"
      :active="toColor !== ''"
      :aria-pressed="toColor !== ''"
      @click="toggle"
      >Gradient</v-btn
    >
  </div>
  <div v-if="toColor !== ''" class="row">
    <color-field v-model="toColor" label="To" />
    <number-field
      :value="fill.angle"
      label="Angle"
      labelled
      suffix="°"
      v-bind="limits.Fill.angle"
      class="angle"
      @done="(angle) => (fill = { ...fill, angle })"
    />
  </div>
</template>

<style scoped>
.row {
  display: flex;
  align-items: flex-end;
  gap: 12px;
}

.angle {
  max-width: 120px;
}
</style>
