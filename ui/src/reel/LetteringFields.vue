<script setup lang="ts" generic="T extends Lettered">
import { computed, ref } from 'vue'
import { answer, api, bytesOf } from '@/api/client'
import { limits } from '@/api/limits'
import { sentenceFor } from '@/api/problem'
import type { Card } from '@/api/types'
import { ALIGNS, NO_FILE, TYPEFACES } from '@/parts/lettering'
import type { Lettered } from '@/parts/lettering'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from './store'

/** Words and how they are set, for cards and cut-outs alike. */
defineProps<{ label: string }>()
const lettered = defineModel<T>({ required: true })
const store = useReel()
const file = ref<HTMLInputElement | null>(null)
const problem = ref('')
const reading = ref(false)

const change = (part: Partial<Lettered>): void => void (lettered.value = { ...lettered.value, ...part })
const text = computed({ get: () => lettered.value.text, set: (next: string) => change({ text: next }) })
const align = computed({ get: () => lettered.value.align, set: (next: Card['align']) => change({ align: next }) })

/** Typeface files that words of this reel are set in. */
const own = computed(() => {
  const cards = store.frames.flatMap(({ content }) => (content.kind === 'card' ? [content.own] : []))
  const words = (store.reel?.cutouts ?? []).flatMap(({ art }) => (art.kind === 'words' ? [art.own] : []))
  const files = [...cards, ...words, lettered.value.own].filter((each) => each.file !== '')
  return [...new Map(files.map((each) => [each.file, each])).values()]
})
const choices = computed(() => [...TYPEFACES, ...own.value.map((each) => ({ value: each.file, title: each.name }))])
const chosen = computed({
  get: () => lettered.value.own.file || lettered.value.typeface,
  set: (value: string) => {
    const shipped = TYPEFACES.find((each) => each.value === value)
    change(shipped ? { typeface: shipped.value, own: NO_FILE } : { own: own.value.find((each) => each.file === value) })
  },
})

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const [taken] = input.files ?? []
  input.value = ''
  if (!taken) {
    return
  }
  problem.value = ''
  reading.value = true
  try {
    const kept = await answer(
      api.POST('/api/typefaces', {
        params: { query: { name: taken.name } },
        ...bytesOf(taken),
      }),
    )
    change({ own: kept })
  } catch (failure) {
    problem.value = sentenceFor(failure)
  } finally {
    reading.value = false
  }
}
</script>

<template>
  <v-textarea
    v-model="text"
    :label="label"
    rows="3"
    :maxlength="limits.Words.text.max"
    variant="outlined"
    density="compact"
    hide-details
    autofocus
    dir="auto"
  />
  <div class="row">
    <v-select v-model="chosen" :items="choices" label="Typeface" variant="outlined" density="compact" hide-details />
    <number-field
      :value="lettered.size"
      label="Size"
      labelled
      suffix="px"
      v-bind="limits.Words.size"
      class="size"
      @done="(size) => change({ size })"
    />
  </div>
  <div class="row">
    <v-btn-toggle v-model="align" mandatory density="compact" variant="outlined" divided aria-label="Alignment">
      <v-btn v-for="{ value, title } in ALIGNS" :key="value" :value="value" size="small">{{ title }}</v-btn>
    </v-btn-toggle>
    <v-btn
      size="small"
      variant="outlined"
      class="chip"
      :loading="reading"
      title="A TTF or OTF file; it stays with the reel"
      @click="file?.click()"
      >Typeface from a file…</v-btn
    >
    <input
      ref="file"
      type="file"
      accept=".ttf,.otf,font/ttf,font/otf"
      class="unseen"
      tabindex="-1"
      aria-label="Typeface file"
      data-test="typeface"
      @change="read"
    />
  </div>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}

.row > .v-select {
  flex: 1 1 150px;
}

.size {
  flex: 0 0 104px;
}

.problem {
  margin: 0;
  color: var(--rein);
}
</style>
