<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { sentenceFor } from '@/api/problem'
import HistoryDialog from './HistoryDialog.vue'
import ReelHeader from './ReelHeader.vue'
import RhythmBar from './RhythmBar.vue'
import { useReel } from './store'
import { useReelKeys } from './keys'
import { useSelection } from './selection'

const route = useRoute()
const store = useReel()
const selection = useSelection()
const problem = ref('')

async function open(id: string): Promise<void> {
  problem.value = ''
  selection.none()
  try {
    await store.open(id)
  } catch (failure) {
    problem.value = sentenceFor(failure)
  }
}

watch(
  () => route.params.id,
  (id) => {
    if (typeof id === 'string' && id !== store.reel?.id) void open(id)
  },
  { immediate: true },
)
watch(
  () => store.reel?.name,
  (name) => (document.title = name ? `${name} · Dobbin` : 'Dobbin'),
)
onBeforeUnmount(() => store.close())
useReelKeys()
</script>

<template>
  <div class="page">
    <reel-header />
    <template v-if="store.reel">
      <rhythm-bar />
      <main class="bench">
        <router-view />
      </main>
      <history-dialog />
    </template>
    <main v-else class="waiting">
      <template v-if="problem">
        <h2>This reel does not open</h2>
        <p>{{ problem }}</p>
        <v-btn variant="flat" color="primary" to="/">To the shelf</v-btn>
      </template>
      <v-progress-circular v-else indeterminate aria-label="Opening the reel" />
    </main>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  height: 100dvh;
}

.bench {
  min-height: 0;
}

.waiting {
  grid-row: 2 / 4;
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 12px;
}
</style>
