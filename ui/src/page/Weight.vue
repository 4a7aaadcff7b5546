<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import { sayProblem } from '@/ground/messages'
import DropMenu from '@/parts/DropMenu.vue'
import { bytesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'

/** What the delivered file weighs right now, against what it may weigh. */
const store = useReel()
const open = ref(false)
const USUAL_KILOBYTES = [256, 500, 1000, 2000, 5000, 8000]

const working = computed(() => {
  const told = store.weight
  const stale = told !== null && store.reel !== null && told.revision < store.reel.revision
  return store.frames.length > 0 && (told === null || stale || (told.bytes === null && told.problem === null))
})
/** While the next weight is worked out, the last one stays to be seen. */
const lastKnown = ref<number | null>(null)
watch(
  () => store.weight?.bytes,
  (told) => (lastKnown.value = told ?? lastKnown.value),
  { immediate: true },
)
const bytes = computed(() => (store.frames.length > 0 ? lastKnown.value : null))
const budget = computed(() => store.reel?.budgetBytes ?? 1)
const share = computed(() => Math.min(1, (bytes.value ?? 0) / budget.value))
const over = computed(() => (bytes.value ?? 0) > budget.value)
const problem = computed(() => (store.frames.length > 0 && !working.value ? (store.weight?.problem ?? null) : null))
const words = computed(() => {
  if (problem.value) {
    return 'not weighed'
  }
  if (bytes.value === null) {
    return working.value ? 'weighing…' : 'no frames'
  }
  return bytesText(bytes.value)
})

async function weighAgain(): Promise<void> {
  open.value = false
  await store.weighAgain().catch(sayProblem)
}

async function setBudget(kilobytes: number): Promise<void> {
  open.value = false
  await store.dispatch({ type: 'setBudget', bytes: kilobytes * 1000 })
}
</script>

<template>
  <drop-menu v-model="open" :close-on-content-click="false" location="bottom end">
    <template #activator="{ props: activator }">
      <button
        type="button"
        v-bind="activator"
        class="weight"
        :class="{ over: over || problem, working }"
        :title="problem ?? (over ? 'Over the budget. On Slim it can be fitted.' : 'What the delivered file weighs')"
      >
        <span class="numbers">
          <b>{{ words }}</b>
          <span class="quiet">{{ over ? 'over' : 'of' }} {{ bytesText(budget) }}</span>
        </span>
        <span class="track" aria-hidden="true"><span class="fill" :style="{ width: share * 100 + '%' }" /></span>
        <span class="unseen" role="status">{{ working ? 'Weighing' : (problem ?? `Weighs ${words}`) }}</span>
      </button>
    </template>
    <v-card class="pa-4" width="300" rounded="lg" role="dialog" aria-label="Budget">
      <template v-if="problem">
        <h2>Not weighed</h2>
        <p role="alert">{{ problem }}</p>
        <v-btn size="small" variant="outlined" class="mb-4" @click="weighAgain">Weigh it again</v-btn>
      </template>
      <h2>Budget</h2>
      <p class="quiet mb-2">What the delivered file should stay under.</p>
      <number-field
        :value="Math.round(budget / 1000)"
        label="Budget in KB"
        suffix="KB"
        :min="limits.SetBudget.bytes.min / 1000"
        :max="limits.SetBudget.bytes.max / 1000"
        :step="50"
        @done="setBudget"
      />
      <div class="usual">
        <v-btn
          v-for="kilobytes in USUAL_KILOBYTES"
          :key="kilobytes"
          size="small"
          variant="outlined"
          @click="setBudget(kilobytes)"
          >{{ bytesText(kilobytes * 1000) }}</v-btn
        >
      </div>
    </v-card>
  </drop-menu>
</template>

<style scoped>
.weight {
  display: grid;
  gap: 4px;
  width: 156px;
  margin-left: 8px;
  padding: 6px 8px;
  border-radius: 8px;
  font-size: 14px;
  text-align: left;
}

@media (max-width: 760px) {
  .weight {
    width: 116px;
    padding-inline: 0;
    font-size: 12.5px;
    white-space: nowrap;
  }
}

.weight:hover {
  background: var(--sunk);
}

.numbers {
  display: flex;
  justify-content: space-between;
}

.track {
  position: relative;
  height: 6px;
  overflow: hidden;
  border-radius: 3px;
  background: var(--line);
}

.fill {
  position: absolute;
  inset: 0 auto 0 0;
  border-radius: 3px;
  background: var(--fits);
  transition: width 0.2s;
}

.over .fill {
  background: repeating-linear-gradient(135deg, var(--rein) 0 5px, var(--ink) 5px 7px);
}

.over b {
  color: var(--rein);
}

.working b {
  opacity: 0.65;
}

.working .track::after {
  position: absolute;
  inset: 0;
  background: linear-gradient(90deg, transparent, var(--card), transparent);
  content: '';
  /* Few steps: a smooth one would keep the whole page painting while the processor is needed. */
  animation: sweep 1.2s infinite steps(10);
}

@keyframes sweep {
  from {
    transform: translateX(-100%);
  }

  to {
    transform: translateX(100%);
  }
}

.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 12px;
}
</style>
