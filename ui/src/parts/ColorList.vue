<script setup lang="ts">
import { mdiClose, mdiPlus } from '@mdi/js'
import ColorField from './ColorField.vue'

/** Some colors in their order; as many as one likes between `min` and `max`. */
defineProps<{ label: string; min: number; max: number }>()
const colors = defineModel<string[]>({ required: true })
const FIRST = 'f2b27a'

const change = (at: number, color: string): void => void (colors.value = colors.value.with(at, color))
const remove = (at: number): void => void (colors.value = colors.value.toSpliced(at, 1))
const add = (): void => void (colors.value = [...colors.value, colors.value.at(-1) ?? FIRST])
</script>

<template>
  <div role="group" :aria-label="label" class="colors">
    <span v-for="(color, at) in colors" :key="at" class="color">
      <color-field :model-value="color" :label="`Color ${at + 1}`" @update:model-value="(next) => change(at, next)" />
      <v-btn
        v-if="colors.length > min"
        :icon="mdiClose"
        size="x-small"
        :aria-label="`Remove color ${at + 1}`"
        title="Remove this color"
        @click="remove(at)"
      />
    </span>
    <v-btn v-if="colors.length < max" size="small" variant="outlined" class="chip" :prepend-icon="mdiPlus" @click="add"
      >Color</v-btn
    >
  </div>
</template>

<style scoped>
.colors {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 8px 12px;
}

.color {
  display: flex;
  align-items: flex-end;
}
</style>
