<script setup lang="ts">
import { mdiCheck } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { History } from '@/api/types'
import { answer, api } from '@/api/client'
import { sayProblem } from '@/ground/messages'
import DialogCard from '@/parts/DialogCard.vue'
import { agoText } from '@/parts/format'
import { historyShown } from '@/reel/history'
import { useReel } from '@/reel/store'

/** All that was done to the reel; any point can be gone back to, and forth again. */
const store = useReel()
const history = ref<History | null>(null)
const latestFirst = computed(() => [...(history.value?.steps ?? [])].reverse())

async function load(): Promise<void> {
  if (store.reel) {
    try {
      history.value = await answer(api.GET('/api/reels/{id}/history', { params: { path: { id: store.reel.id } } }))
    } catch (failure) {
      sayProblem(failure)
    }
  }
}

watch([historyShown, () => store.reel?.revision], () => {
  if (historyShown.value) void load()
})
</script>

<template>
  <dialog-card v-model="historyShown" title="History" :width="480">
    <p class="quiet mb-3">
      Everything is kept. Go to any point; what came after stays here until you do something else.
    </p>
    <ol aria-label="Steps, the latest first" reversed>
      <li v-for="step in latestFirst" :key="step.number">
        <button
          type="button"
          :class="{ undone: step.number > (history?.current ?? 0) }"
          :aria-current="step.number === history?.current ? 'step' : undefined"
          @click="store.goToStep(step.number)"
        >
          <v-icon :icon="mdiCheck" size="18" :class="{ hidden: step.number !== history?.current }" />
          <span class="title">{{ step.title }}</span>
          <span class="quiet">{{ agoText(step.made) }}</span>
        </button>
      </li>
    </ol>
  </dialog-card>
</template>

<style scoped>
ol {
  max-height: 50vh;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}

button {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  padding: 6px 8px;
  border-radius: 6px;
  font-size: 14px;
}

button:hover {
  background: var(--sunk);
}

.title {
  flex: 1;
}

[aria-current] {
  background: var(--rein-soft);
  font-weight: 650;
}

.undone .title {
  color: var(--ink2);
  font-style: italic;
}

.hidden {
  visibility: hidden;
}
</style>
