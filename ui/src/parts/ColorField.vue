<script setup lang="ts">
import { useId } from 'vue'

/** A color by eye or by its six digits; with `none`, none at all, which is the empty text. */
const props = defineProps<{ label: string; none?: string }>()
const color = defineModel<string>({ required: true })
const id = useId()
const FIRST = 'ffffff'

function type(event: Event): void {
  const input = event.target as HTMLInputElement
  const digits = input.value.trim().replace(/^#/, '').toLowerCase()
  if (/^[0-9a-f]{6}$/.test(digits)) {
    color.value = digits
  } else if (digits === '' && props.none) {
    color.value = ''
  } else {
    input.value = color.value
  }
}
</script>

<template>
  <div class="field" role="group" :aria-label="label">
    <label :for="id">{{ label }}</label>
    <div class="row">
      <input
        v-if="color !== ''"
        type="color"
        :value="`#${color}`"
        :aria-label="`${label}: pick`"
        @input="color = ($event.target as HTMLInputElement).value.slice(1)"
      />
      <input
        :id="id"
        type="text"
        class="digits"
        :value="color"
        :placeholder="none ?? ''"
        maxlength="7"
        spellcheck="false"
        autocomplete="off"
        @change="type"
      />
      <v-btn
        v-if="none"
        size="small"
        variant="outlined"
        class="chip"
        :active="color === ''"
        :aria-pressed="color === ''"
        @click="color = color === '' ? FIRST : ''"
        >{{ none }}</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: 4px;
  color: var(--ink2);
  font-size: 13px;
}

.row {
  display: flex;
  align-items: center;
  gap: 6px;
}

[type='color'] {
  width: 36px;
  height: 30px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  cursor: pointer;
}

.digits {
  width: 84px;
  height: 30px;
  padding: 0 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  font-size: 14px;
}
</style>
