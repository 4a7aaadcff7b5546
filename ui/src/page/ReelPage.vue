<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { Problem, sentenceFor } from '@/api/problem'
import type { Bench } from '@/ground/bench'
import HistoryDialog from './HistoryDialog.vue'
import LookingOnly from './LookingOnly.vue'
import ReelHeader from './ReelHeader.vue'
import RhythmBar from './RhythmBar.vue'
import { hasFewPixels } from '@/parts/fewPixels'
import { onlyToLookAt } from '@/reel/access'
import { useReel } from '@/reel/store'
import { useReelKeys } from './reelKeys'
import { useSelection } from '@/reel/selection'

/** A reel: its header and rhythm over the bench that is open. */
const props = defineProps<{ benches: readonly Bench[] }>()
const route = useRoute()
const store = useReel()
const selection = useSelection()
const AGAIN_MILLIS = 1500

const problem = ref('')
/** The server does not answer; it is asked again and again. */
const away = ref(false)
let again = 0

/** Loads the scripts of all benches, so that none is waited for when it is opened. */
function loadBenches(): void {
  // Without a server there is none to load; opening the bench says so.
  void Promise.allSettled(props.benches.map((bench) => bench.load()))
}

async function open(id: string): Promise<void> {
  problem.value = ''
  selection.none()
  window.clearTimeout(again)
  try {
    await store.open(id)
    away.value = false
    loadBenches()
  } catch (failure) {
    if (route.params.id !== id) {
      return
    }
    away.value = failure instanceof Problem && failure.kind === 'unreachable'
    if (away.value) {
      again = window.setTimeout(() => void open(id), AGAIN_MILLIS)
    } else {
      problem.value = sentenceFor(failure)
    }
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
onBeforeUnmount(() => {
  window.clearTimeout(again)
  store.close()
})
useReelKeys()
</script>

<template>
  <div class="page">
    <reel-header :benches="benches" />
    <template v-if="store.reel">
      <div class="under-header">
        <p v-if="store.isCut" class="cut" role="status">Not connected. Trying again…</p>
        <looking-only v-if="onlyToLookAt" />
        <rhythm-bar />
      </div>
      <main class="bench" :class="{ 'few-pixels': hasFewPixels(store.reel.canvas) }">
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
      <template v-else>
        <v-progress-circular indeterminate aria-label="Opening the reel" />
        <p v-if="away" role="status">
          Dobbin’s server does not answer. Start it again; this page opens the reel by itself.
        </p>
      </template>
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

@media (max-width: 760px) {
  .bench {
    overflow-y: auto;
  }
}

.under-header {
  position: relative;
}

.cut {
  position: absolute;
  z-index: 10;
  top: 6px;
  left: 50%;
  margin: 0;
  white-space: nowrap;
  padding: 6px 16px;
  transform: translateX(-50%);
  border-radius: 99px;
  background: var(--ink);
  color: var(--card);
  font-size: 14px;
}

.waiting {
  grid-row: 2 / 4;
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 12px;
}
</style>
