<script setup lang="ts">
import { mdiCheck, mdiTrashCanOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import { trialUrl } from '@/api/urls'
import { sayProblem } from '@/ground/messages'
import { bytesText, errorText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { useSlimming } from './slimming'
import { seenText, trialText } from './words'

/** The setting that is pointed at, else the one that is taken: what it cost, and what would be better. */
const store = useReel()
const slimming = useSlimming()
const trial = computed(() => slimming.shown ?? slimming.taken)
const better = computed(() => slimming.current.find((each) => each.id === trial.value?.better))
const name = ref('')
watch(
  () => trial.value?.id,
  () => (name.value = trial.value?.name ?? ''),
  { immediate: true },
)

function rename(): void {
  const now = trial.value
  if (now && name.value.trim() !== now.name) {
    void slimming.name(now, name.value.trim()).catch(sayProblem)
  }
}
</script>

<template>
  <section class="card" aria-label="The setting in view">
    <template v-if="trial && store.reel">
      <img :src="trialUrl(store.reel.id, trial.id)" :alt="`Frame ${trial.worstFrame + 1}, where it differs most`" />
      <div class="facts">
        <p class="first">
          <b>{{ bytesText(trial.bytes) }}</b> · error {{ errorText(trial.error) }},
          {{ seenText(trial.error, slimming.marks) }}
        </p>
        <p class="quiet">{{ trialText(trial) }}</p>
        <p v-if="better" class="better">
          <button type="button" @click="slimming.set(better.delivery)">
            {{ bytesText(better.bytes) }} at {{ errorText(better.error) }}
          </button>
          is better in both: {{ trialText(better) }}
        </p>
        <p v-else class="quiet">
          Nothing tried is lighter and looks better. Worst is frame {{ trial.worstFrame + 1 }} at
          {{ errorText(trial.worstError) }}.
        </p>
      </div>
      <div class="ways">
        <input
          v-model="name"
          class="name"
          type="text"
          placeholder="Name it"
          aria-label="Name of this setting"
          :maxlength="limits.Rename.name.max"
          @change="rename"
          @keydown.enter.prevent="rename"
        />
        <v-btn
          :icon="mdiTrashCanOutline"
          size="small"
          aria-label="Forget this setting"
          title="Forget this dot"
          @click="slimming.forget(trial).catch(sayProblem)"
        />
        <span v-if="trial.id === slimming.taken?.id" class="as-set"><v-icon :icon="mdiCheck" size="16" /> as set</span>
      </div>
    </template>
    <p v-else class="quiet">
      {{ store.frames.length === 0 ? 'There are no frames to deliver yet.' : 'Measuring how it looks…' }}
    </p>
  </section>
</template>

<style scoped>
.card {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 104px;
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: 14px;
  background: var(--card);
  font-size: 13px;
}

img {
  width: 112px;
  max-height: 82px;
  object-fit: contain;
  border-radius: 6px;
}

.facts {
  flex: 1;
  min-width: 0;
}

p {
  margin: 0 0 2px;
}

.first {
  font-size: 14px;
}

.better button {
  color: var(--fits);
  font-weight: 650;
  text-decoration: underline;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: flex-end;
  gap: 4px;
  width: 150px;
}

.name {
  width: 104px;
  height: 30px;
  padding: 0 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
}

.as-set {
  color: var(--fits);
  font-weight: 600;
}

@media (max-width: 760px) {
  .card {
    flex-wrap: wrap;
  }

  .facts {
    flex-basis: 60%;
  }

  .ways {
    width: 100%;
    justify-content: flex-start;
  }
}
</style>
