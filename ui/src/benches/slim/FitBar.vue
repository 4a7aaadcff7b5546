<script setup lang="ts">
import { mdiChartScatterPlot, mdiScaleBalance } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import DropMenu from '@/parts/DropMenu.vue'
import { bytesOf, bytesText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { useSlimming } from './slimming'

/** The budget, the search that meets it, and the one that fills the chart. */
const USUAL = [128_000, 256_000, 500_000, 1_000_000, 2_000_000, 5_000_000, 8_000_000]
const store = useReel()
const slimming = useSlimming()
const open = ref(false)
const text = ref('')
const problem = ref('')
const budget = computed(() => store.reel?.budgetBytes ?? 0)
watch(
  budget,
  (bytes) => {
    text.value = bytesText(bytes)
    problem.value = ''
  },
  { immediate: true },
)

const over = computed(() => (store.weight?.bytes ?? 0) > budget.value)
const ready = computed(() => store.frames.length > 0 && slimming.search === null)
const done = computed(() => {
  const job = slimming.job
  return job ? (100 * job.done) / job.total : 0
})
const allowed = computed(() => {
  const also = [slimming.mayNarrow ? 'width' : '', slimming.mayThin ? 'frames' : ''].filter((each) => each !== '')
  return ['colors', ...also].join(', ')
})

async function setBudget(bytes: number): Promise<void> {
  problem.value = ''
  text.value = bytesText(bytes)
  if (bytes !== budget.value) {
    await store.dispatch({ type: 'setBudget', bytes })
  }
}

async function finish(): Promise<void> {
  const bytes = bytesOf(text.value)
  const { min, max } = limits.SetBudget.bytes
  if (text.value === bytesText(budget.value)) {
    problem.value = ''
  } else if (bytes === null || bytes < min || bytes > max) {
    problem.value = `Write a size from ${bytesText(min)} to ${bytesText(max)}, as 500 KB or 2 MB.`
  } else {
    await setBudget(bytes)
  }
}

async function fit(): Promise<void> {
  await finish()
  if (problem.value === '') {
    await slimming.begin(true)
  }
}
</script>

<template>
  <div class="bar">
    <div class="title">
      <h2>Weight against looks</h2>
      <p class="quiet">
        {{ slimming.current.length === 1 ? '1 setting tried' : `${slimming.current.length} settings tried` }}
      </p>
    </div>
    <div v-if="slimming.search" class="working" role="status">
      <span>{{ slimming.search === 'fits' ? 'Fitting' : 'Exploring' }}…</span>
      <v-progress-linear
        :model-value="done"
        height="8"
        rounded
        color="success"
        :aria-label="slimming.search === 'fits' ? 'Fitting' : 'Exploring'"
      />
      <v-btn size="small" variant="outlined" @click="slimming.stop">Stop</v-btn>
    </div>
    <template v-else>
      <v-btn
        size="small"
        variant="outlined"
        :prepend-icon="mdiChartScatterPlot"
        :disabled="!ready"
        title="Try a spread of settings, nearest to the budget first (E)"
        @click="slimming.begin(false)"
        >Explore</v-btn
      >
      <div class="budget">
        <input
          v-model="text"
          type="text"
          aria-label="Budget"
          title="What the file should stay under: 500 KB, 2 MB"
          :aria-invalid="problem !== ''"
          autocomplete="off"
          @change="finish"
          @keydown.enter.prevent="fit"
        />
        <drop-menu v-model="open" :close-on-content-click="false" location="bottom end">
          <template #activator="{ props: activator }">
            <button type="button" v-bind="activator" class="may" title="Usual budgets, and what may be reduced for one">
              may cost {{ allowed }}
            </button>
          </template>
          <v-card class="pa-4" width="300" rounded="lg" role="dialog" aria-label="Budget and what it may cost">
            <h2>Budget</h2>
            <div class="usual">
              <v-btn
                v-for="bytes in USUAL"
                :key="bytes"
                size="small"
                variant="outlined"
                class="chip"
                :active="bytes === budget"
                :aria-pressed="bytes === budget"
                @click="setBudget(bytes)"
                >{{ bytesText(bytes) }}</v-btn
              >
            </div>
            <h2>What it may cost</h2>
            <p class="quiet">Colors, dithering and tolerance, and where you allow it:</p>
            <v-switch
              v-model="slimming.mayNarrow"
              label="A narrower picture"
              color="primary"
              density="compact"
              hide-details
            />
            <v-switch v-model="slimming.mayThin" label="Fewer frames" color="primary" density="compact" hide-details />
          </v-card>
        </drop-menu>
      </div>
      <v-btn
        size="small"
        variant="flat"
        color="primary"
        :prepend-icon="mdiScaleBalance"
        :disabled="!ready"
        :title="
          over
            ? 'Find the best-looking settings under the budget (B)'
            : 'It is under the budget; finds what looks best there (B)'
        "
        @click="fit"
        >Fit it</v-btn
      >
    </template>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.title {
  flex: 1;
  min-width: 150px;
}

p {
  margin: 0;
  font-size: 13px;
}

.budget {
  display: flex;
  align-items: center;
  height: 32px;
  border: 1px solid var(--edge);
  border-radius: 8px;
}

.budget input {
  width: 76px;
  height: 30px;
  padding: 0 8px;
  border: 0;
  border-radius: 8px;
  background: transparent;
  font-weight: 650;
}

.budget input[aria-invalid='true'] {
  color: var(--rein);
}

.may {
  height: 30px;
  padding: 0 10px;
  border-left: 1px solid var(--line);
  color: var(--ink2);
  font-size: 13px;
}

.may:hover {
  color: var(--ink);
}

.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 8px 0 16px;
}

@media (max-width: 1180px) and (min-width: 761px) {
  .title {
    min-width: 120px;
  }

  .may {
    max-width: 80px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
}

.working {
  display: flex;
  flex: 1;
  align-items: center;
  gap: 10px;
  min-width: 240px;
}

.problem {
  flex-basis: 100%;
  color: var(--rein);
}
</style>
