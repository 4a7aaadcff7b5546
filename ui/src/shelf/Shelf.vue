<script setup lang="ts">
import { mdiSquareOutline } from '@mdi/js'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { answer, api } from '@/api/client'
import type { ReelCard, Shelf } from '@/api/types'
import { sentenceFor } from '@/api/problem'
import { say, sayProblem } from '@/ground/messages'
import AddStills from '@/gather/AddStills.vue'
import { useFileDrop } from '@/gather/fileDrop'
import { gatherInto } from '@/gather/gather'
import { useOpenReel } from '@/ground/navigation'
import Brand from '@/parts/Brand.vue'
import PageTools from '@/parts/PageTools.vue'
import NewReelDialog from './NewReelDialog.vue'
import RemovedDrawer from './RemovedDrawer.vue'
import ShelfCard from './ShelfCard.vue'
import ThingsToTry from './ThingsToTry.vue'

const PAGE = 60

const shelf = shallowRef<Shelf | null>(null)
const removed = shallowRef<ReelCard[]>([])
/** How long they are kept. */
const days = ref(30)
const reels = computed(() => shelf.value?.reels ?? null)
const problem = ref('')
/** Whether a reel is being begun from nothing. */
const beginning = ref(false)
const open = useOpenReel()
const fileDrop = useFileDrop((files) => void gatherInto(files, { open }))

async function load(): Promise<void> {
  problem.value = ''
  try {
    const count = Math.max(PAGE, shelf.value?.reels.length ?? 0)
    shelf.value = await answer(api.GET('/api/reels', { params: { query: { from: 0, count: Math.min(200, count) } } }))
    const kept = await answer(api.GET('/api/removed'))
    removed.value = kept.reels
    days.value = kept.days
  } catch (failure) {
    problem.value = sentenceFor(failure)
  }
}

async function more(): Promise<void> {
  const now = shelf.value
  if (now) {
    try {
      const next = await answer(api.GET('/api/reels', { params: { query: { from: now.reels.length, count: PAGE } } }))
      shelf.value = { reels: [...now.reels, ...next.reels], total: next.total }
    } catch (failure) {
      sayProblem(failure)
    }
  }
}

async function remove(card: ReelCard): Promise<void> {
  const path = { id: card.id }
  try {
    await answer(api.DELETE('/api/reels/{id}', { params: { path } }))
    await load()
    say(`“${card.name}” is off the shelf.`, { label: 'Put it back', run: () => void restore(card.id) })
  } catch (failure) {
    sayProblem(failure)
  }
}

async function restore(id: string): Promise<void> {
  try {
    await answer(api.POST('/api/reels/{id}/restore', { params: { path: { id } } }))
    await load()
  } catch (failure) {
    sayProblem(failure)
  }
}

onMounted(() => {
  document.title = 'Dobbin'
  void load()
})
</script>

<template>
  <div class="shelf" v-on="fileDrop.listeners">
    <header>
      <brand />
      <page-tools />
    </header>
    <main>
      <div class="begin" :class="{ over: fileDrop.over.value }">
        <div>
          <h1>{{ fileDrop.over.value ? 'Drop them' : 'Drop stills here to begin a loop' }}</h1>
          <p class="quiet">
            Photos or drawn frames, 4 to 60 of them, a clip, an old GIF, or a working file. Stills play in natural sort
            order of their names: 2 before 10.
          </p>
        </div>
        <div class="ways">
          <add-stills />
          <v-btn :prepend-icon="mdiSquareOutline" @click="beginning = true">New reel…</v-btn>
        </div>
      </div>
      <template v-if="problem">
        <p role="alert">{{ problem }}</p>
        <v-btn variant="outlined" @click="load">Try again</v-btn>
      </template>
      <v-progress-circular v-else-if="reels === null" indeterminate aria-label="Looking at the shelf" class="ma-8" />
      <section v-else-if="reels.length > 0" aria-label="Reels">
        <h2>On the shelf</h2>
        <div class="cards">
          <shelf-card v-for="card in reels" :key="card.id" :card="card" @remove="remove(card)" @changed="load" />
        </div>
        <p v-if="shelf && shelf.reels.length < shelf.total" class="more">
          <v-btn variant="outlined" @click="more">Show more: {{ shelf.total - shelf.reels.length }} are left</v-btn>
        </p>
      </section>
      <template v-else>
        <p class="quiet">The shelf is empty. What you begin stays here, saved with every change.</p>
        <things-to-try />
      </template>
      <removed-drawer v-if="removed.length > 0" :reels="removed" :days="days" @changed="load" @restore="restore" />
    </main>
    <new-reel-dialog v-model="beginning" />
  </div>
</template>

<style scoped>
.shelf {
  height: 100dvh;
  overflow-y: auto;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 56px;
  padding: 0 20px;
  background: var(--card);
  border-bottom: 1px solid var(--line);
}

main {
  max-width: 1480px;
  margin: 0 auto;
  padding: 20px;
}

.begin {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 12px 24px;
  margin-bottom: 22px;
  padding: 20px 24px;
  border: 2px dashed var(--edge);
  border-radius: 16px;
}

.begin.over {
  border-color: var(--rein);
  background: var(--rein-soft);
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

h1 {
  font-size: 22px;
}

p {
  margin: 2px 0 0;
}

.more {
  margin-top: 18px;
  text-align: center;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 18px;
  margin-top: 10px;
}
</style>
