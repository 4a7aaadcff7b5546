<script setup lang="ts">
import { ref, watch } from 'vue'

/**
 * A number that counts once it is finished: on Enter, on leaving the field, or at each press of an arrow key. What is
 * outside the range is said under the field and goes nowhere.
 */
const props = defineProps<{
  value: number | null
  label: string
  min: number
  max: number
  step?: number
  suffix?: string
  placeholder?: string
  /** How many places behind the point; none unless said. */
  decimals?: number
  /** Said of what is smaller than the range, where that needs a reason. */
  tooSmall?: string
  /** Show the label inside the field, for places that have no other. */
  labelled?: boolean
}>()
const emit = defineEmits<{ done: [value: number] }>()

const text = ref('')
const problem = ref('')

watch(
  () => props.value,
  (value) => {
    text.value = value === null ? '' : String(value)
    problem.value = ''
  },
  { immediate: true },
)

/** What the field shows when nothing is typed that does not count yet. Undo is then about the reel and not about digits. */
const settled = (): string => (props.value === null ? '' : String(props.value))

function finish(): void {
  const value = Number(text.value.replace(',', '.'))
  if (text.value.trim() === '' || value === props.value) {
    text.value = settled()
    problem.value = ''
  } else if (rounded(value) !== value || !(value >= props.min && value <= props.max)) {
    const kind = props.decimals ? 'A number' : 'A whole number'
    const range = `${kind} from ${props.min.toLocaleString('en')} to ${props.max.toLocaleString('en')}`
    problem.value = value < props.min && props.tooSmall ? props.tooSmall : range
  } else {
    problem.value = ''
    emit('done', value)
  }
}

function rounded(value: number): number {
  const scale = 10 ** (props.decimals ?? 0)
  return Math.round(value * scale) / scale
}

/** What was typed and not finished is given up; what was not touched leaves the key to others. */
function giveUp(event: KeyboardEvent): void {
  if (text.value !== settled() || problem.value !== '') {
    event.stopPropagation()
  }
  text.value = settled()
  problem.value = ''
  ;(event.target as HTMLElement).blur()
}

function nudge(event: KeyboardEvent, direction: number): void {
  const by = (props.step ?? 1) * (event.shiftKey ? 10 : 1)
  const from = Number(text.value) || props.value || 0
  text.value = String(Math.min(props.max, Math.max(props.min, rounded(from + direction * by))))
  finish()
}
</script>

<template>
  <v-text-field
    v-model="text"
    :aria-label="label"
    :label="labelled ? label : undefined"
    :suffix="suffix"
    :placeholder="placeholder"
    :data-settled="text === settled() || null"
    :error-messages="problem"
    inputmode="numeric"
    autocomplete="off"
    class="number"
    @blur="finish"
    @keydown.enter.prevent="finish"
    @keydown.up.prevent="nudge($event, 1)"
    @keydown.down.prevent="nudge($event, -1)"
    @keydown.esc="giveUp"
  />
</template>

<style scoped>
.number :deep(input) {
  font-weight: 650;
}
</style>
