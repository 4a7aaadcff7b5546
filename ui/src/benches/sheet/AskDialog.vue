<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import { useAsking } from '@/reel/asking'

/** Asks for one number or one line of text, and says what it leads to. */
const asking = useAsking()
const text = ref('')
const shown = computed({
  get: () => asking.question !== null,
  set: (open: boolean) => {
    if (!open) asking.close()
  },
})
/** Stays while the dialog fades. */
const last = ref(asking.question)
watch(
  () => asking.question,
  (question) => {
    if (question) {
      last.value = question
      text.value = String(question.value)
    }
  },
)

const isNumber = computed(() => typeof last.value?.value === 'number')
const number = computed(() => Number(text.value))
const problem = computed(() => {
  const question = last.value
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
  const { min = 0, max = Infinity } = last.value ?? {}
  if (isNumber.value) {
    text.value = String(Math.max(min, Math.min(max, (number.value || 0) + by)))
  }
}

function done(): void {
  const question = last.value
  if (ready.value && question) {
    asking.close()
    void question.run((isNumber.value ? number.value : text.value.trim()) as never)
  }
}
</script>

<template>
  <dialog-card v-model="shown" :title="last?.title ?? ''" :verb="last?.verb" :disabled="!ready" @done="done">
    <v-text-field v-model="text" :label="last?.label" :suffix="last?.suffix" :error-messages="text === '' ? '' : problem"
      :inputmode="isNumber ? 'numeric' : 'text'" :maxlength="isNumber ? 9 : 120" autofocus autocomplete="off"
      @focus="($event.target as HTMLInputElement).select()" @keydown.up.prevent="nudge(1)"
      @keydown.down.prevent="nudge(-1)" />
    <p v-if="last?.leadsTo && ready" class="quiet mt-3" role="status">{{ last.leadsTo(number) }}</p>
  </dialog-card>
</template>
