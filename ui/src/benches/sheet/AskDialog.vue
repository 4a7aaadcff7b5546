<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import DialogCard from '@/parts/DialogCard.vue'
import { useAsking } from './asking'

/** Asks for one number or one line of text, and says what it leads to. */
const asking = useAsking()
const text = ref('')
const shown = asking.isShown('question')
watch(
  () => asking.question,
  (question) => (text.value = String(question?.value ?? '')),
)

const isNumber = computed(() => typeof asking.question?.value === 'number')
const number = computed(() => Number(text.value))
const problem = computed(() => {
  const question = asking.question
  if (!isNumber.value || !question) {
    return ''
  }
  const min = question.min ?? 0
  const max = question.max ?? Infinity
  const fine = text.value.trim() !== '' && Number.isInteger(number.value) && number.value >= min && number.value <= max
  return fine ? '' : `A whole number from ${min.toLocaleString('en')} to ${max.toLocaleString('en')}`
})
const ready = computed(() => problem.value === '' && text.value.trim() !== '')

function nudge(by: number): void {
  const { min = 0, max = Infinity } = asking.question ?? {}
  if (isNumber.value) {
    text.value = String(Math.max(min, Math.min(max, (number.value || 0) + by)))
  }
}

const done = (): unknown => asking.question?.run((isNumber.value ? number.value : text.value.trim()) as never)
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="asking.question?.title ?? ''"
    :verb="asking.question?.verb"
    :disabled="!ready"
    :done="done"
  >
    <v-text-field
      v-model="text"
      :label="asking.question?.label"
      :suffix="asking.question?.suffix"
      :error-messages="text === '' ? '' : problem"
      :inputmode="isNumber ? 'numeric' : 'text'"
      :maxlength="isNumber ? 9 : limits.NameRun.name.max"
      autofocus
      autocomplete="off"
      @focus="($event.target as HTMLInputElement).select()"
      @keydown.up.prevent="nudge(1)"
      @keydown.down.prevent="nudge(-1)"
    />
    <p v-if="asking.question?.leadsTo && ready" class="quiet mt-3" role="status">
      {{ asking.question.leadsTo(number) }}
    </p>
  </dialog-card>
</template>
