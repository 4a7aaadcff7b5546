<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import { framesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'

/** Gives the ink of this page, or of a row of pages that take turns, to the pages that follow, in place of theirs. */
const store = useReel()
const playhead = usePlayhead()
const asking = useAsking()
const shown = asking.isShown('pages')
const pages = ref(1)
const count = ref(1)
const most = computed(() => Math.max(1, store.frames.length - pages.value))
/** How many pages from this one on have ink and leave one to give it to. */
const mostPages = computed(() => {
  const bare = row(store.frames.length - 1).findIndex((frame) => frame.ink.picture === '')
  return Math.max(1, bare < 0 ? store.frames.length - 1 : bare)
})

/** The page and those after it, so many in all; after the last one comes the first. */
const row = (length: number) =>
  Array.from({ length }, (_, i) => store.frames[(playhead.index + i) % store.frames.length]!)

watch(shown, (open) => {
  if (open) {
    pages.value = count.value = 1
  }
})

function done(): Promise<boolean> {
  const all = row(pages.value + Math.min(count.value, most.value)).map((frame) => frame.id)
  return store.dispatch({ type: 'copyInk', from: all.slice(0, pages.value), to: all.slice(pages.value) })
}
</script>

<template>
  <dialog-card v-model="shown" title="Give this ink to the next pages" verb="Give it" :done="done">
    <number-field
      :value="count"
      label="How many pages get it"
      labelled
      :min="1"
      :max="most"
      variant="outlined"
      density="compact"
      hide-details="auto"
      @done="(wanted) => (count = wanted)"
    />
    <number-field
      :value="pages"
      label="Pages whose ink takes turns, from this one on"
      labelled
      :min="1"
      :max="mostPages"
      :disabled="mostPages < 2"
      variant="outlined"
      density="compact"
      hide-details="auto"
      class="mt-4"
      @done="(wanted) => (pages = wanted)"
    />
    <p class="quiet mt-3">
      The ink of {{ framesText(Math.min(count, most)) }} is replaced. Three drawings of the same thing that take turns
      seem to boil. After the last page comes the first.
    </p>
  </dialog-card>
</template>
