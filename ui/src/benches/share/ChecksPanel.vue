<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import { sentenceFor } from '@/api/problem'
import type { Notice } from '@/api/types'
import { bytesText } from '@/parts/format'
import NoticeList from '@/reel/NoticeList.vue'
import { useReel } from '@/reel/store'
import { usePage } from '@/stage/pages'

/** What is worth a look before the file is given away. Nothing of it is in the way. */
const store = useReel()
const page = usePage()
/** What was found of the edges on a page of which revision. */
const onPage = shallowRef<{ revision: number; notices: Notice[] } | null>(null)
const pageProblem = ref('')
const edges = computed(() => (onPage.value?.revision === store.reel?.revision ? (onPage.value?.notices ?? []) : []))
const notices = computed(() => [...(store.rhythm?.notices ?? []), ...edges.value])
const over = computed(() => {
  const bytes = store.weight?.bytes ?? 0
  const budget = store.reel?.budgetBytes ?? 0
  return bytes > budget ? { bytes, budget } : null
})
/** Until all is looked at, nothing is said to be well. */
const looked = computed(() => {
  const now = store.reel?.revision
  const { rhythm, weight } = store
  return (
    rhythm?.complete === true &&
    rhythm.revision === now &&
    weight?.bytes != null &&
    weight.revision === now &&
    onPage.value?.revision === now
  )
})
const problem = computed(() => store.rhythmProblem || store.weight?.problem || pageProblem.value)

/** The edges are looked at once the file is made: its frames are drawn by then. */
watch(
  [() => store.reel?.id, () => store.reel?.revision, () => store.weight, page],
  async ([id, revision, weight, color]) => {
    if (!id || revision === undefined || weight?.bytes == null || weight.revision !== revision) {
      return
    }
    try {
      const path = { id, color: color.slice(1) }
      const found = await answer(api.GET('/api/reels/{id}/pages/{color}/notices', { params: { path } }))
      if (id === store.reel?.id && color === page.value) {
        onPage.value = { revision, notices: found }
        pageProblem.value = ''
      }
    } catch (failure) {
      pageProblem.value = sentenceFor(failure)
    }
  },
  { immediate: true },
)
const isClear = computed(() => notices.value.length === 0 && over.value === null)
</script>

<template>
  <section class="checks" aria-label="Checks">
    <h2>Before you share it</h2>
    <p v-if="store.frames.length === 0" class="quiet">Nothing to check yet.</p>
    <p v-else-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="!looked" class="quiet">Being looked over…</p>
    <p v-else-if="isClear" class="clear">
      Nothing to say about flashes, frames left out, delays, the seam, edges on this page, the width or the budget.
    </p>
    <div v-if="over" class="over">
      <p>{{ bytesText(over.bytes) }} is over the budget of {{ bytesText(over.budget) }}.</p>
      <v-btn size="small" variant="outlined" :to="{ name: 'slim', params: { id: store.reel!.id } }"
        >Make it fit on Slim</v-btn
      >
    </div>
    <notice-list :notices="notices" />
  </section>
</template>

<style scoped>
.checks {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}

p {
  margin: 0;
  font-size: 14px;
}

.clear {
  color: var(--fits);
}

.over {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding: 8px 12px;
  border-radius: 10px;
  background: var(--warn-soft);
}
</style>
