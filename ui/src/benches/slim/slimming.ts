import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answer, api } from '@/api/client'
import { latest } from '@/api/latest'
import { limits } from '@/api/limits'
import type { Delivery, Encoding, FileFacts, Framing, JobView, TrialView } from '@/api/types'
import { say, sayProblem } from '@/ground/messages'
import { onlyToLookAt } from '@/reel/access'
import { useJob } from '@/reel/job'
import { useReel } from '@/reel/store'

/** What the file costs as it is set, what was tried, and what is being searched for. */
export const useSlimming = defineStore('slimming', () => {
  const store = useReel()
  const facts = shallowRef<FileFacts | null>(null)
  /** The file that the facts are of. */
  const factsOf = ref('')
  const trials = shallowRef<TrialView[]>([])
  const marks = ref({ unseen: 0, seenWhenLookedFor: 0 })
  /** The trial that is pointed at, by its id. */
  const pointed = ref<string | null>(null)
  const fitting = useJob('fitting', (ended) => void searchEnded(ended, true))
  const exploring = useJob('exploring', (ended) => void searchEnded(ended, false))
  /** What is being searched for: settings for the budget, or a spread of them; null for nothing. */
  const search = computed(() => (fitting.isRunning.value ? 'fits' : exploring.isRunning.value ? 'explores' : null))
  const mayNarrow = ref(false)
  const mayThin = ref(false)

  /** As it will be set once all that was turned is answered. */
  const sent = shallowRef<Delivery | null>(null)
  const delivery = computed(() => sent.value ?? store.reel?.delivery ?? null)

  const current = computed(() => trials.value.filter((trial) => trial.current))
  const byWeight = computed(() => [...current.value].sort((a, b) => a.bytes - b.bytes))
  const edge = computed(() => byWeight.value.filter((trial) => trial.better === null))
  const taken = computed(() => current.value.find((trial) => isSame(trial.delivery, delivery.value)) ?? null)
  const shown = computed(() => current.value.find((trial) => trial.id === pointed.value) ?? null)
  const job = computed(() => fitting.job.value ?? exploring.job.value)
  const working = computed(() => {
    const weight = store.weight
    return (
      store.frames.length > 0 && (weight === null || weight.bytes === null || weight.revision !== store.reel?.revision)
    )
  })
  /** The name of the file as it is set now, once it is made. */
  const file = computed(() => (store.weight?.bytes == null ? null : store.weight.file))

  async function set(next: Delivery): Promise<boolean> {
    sent.value = next
    const done = await store.dispatchLatest('delivery', { type: 'setDelivery', delivery: next })
    if (sent.value === next) {
      sent.value = null
    }
    return done
  }

  const change = async (part: Partial<Delivery>): Promise<boolean> =>
    delivery.value ? set({ ...delivery.value, ...part }) : false

  const changeFraming = async (part: Partial<Framing>): Promise<boolean> =>
    delivery.value ? change({ framing: { ...delivery.value.framing, ...part } }) : false

  const changeEncoding = async (part: Partial<Encoding>): Promise<boolean> =>
    delivery.value ? change({ encoding: { ...delivery.value.encoding, ...part } }) : false

  /** Makes a palette one's own. The file gets as many colors as that has, and room for transparency. */
  const takePalette = async (own: string[], encoding: Partial<Encoding> = {}): Promise<boolean> =>
    delivery.value
      ? change({
          coloring: { choice: 'OWN', own },
          colors: Math.max(limits.Delivery.colors.min, Math.min(limits.Delivery.colors.max, own.length + 1)),
          encoding: { ...delivery.value.encoding, ...encoding },
        })
      : false

  const askTrials = latest(
    (id: string) => answer(api.GET('/api/reels/{id}/trials', { params: { path: { id } } })),
    (told, id) => {
      if (store.reel?.id === id) {
        trials.value = told.trials
        marks.value = told
      }
    },
  )

  async function loadTrials(): Promise<void> {
    if (store.reel) {
      await askTrials(store.reel.id)
    }
  }

  async function loadFacts(id: string, name: string): Promise<void> {
    const { data } = await api.GET('/api/reels/{id}/files/{file}/facts', { params: { path: { id, file: name } } })
    // Where it is set otherwise by now, the next file's facts come.
    if (data && store.weight?.file === name) {
      facts.value = data
      factsOf.value = name
      if (!onlyToLookAt.value) {
        await api.POST('/api/reels/{id}/files/{file}/trial', { params: { path: { id, file: name } } })
      }
    }
  }

  async function begin(fits: boolean): Promise<void> {
    const id = store.reel?.id
    if (!id || search.value) {
      return
    }
    try {
      await store.settled()
      const path = { id }
      const body = { width: mayNarrow.value, frames: mayThin.value }
      const started = fits
        ? await answer(api.POST('/api/reels/{id}/fittings', { params: { path }, body }))
        : await answer(api.POST('/api/reels/{id}/explorations', { params: { path } }))
      takeUp(started, fits)
    } catch (failure) {
      sayProblem(failure)
    }
  }

  /** Takes up a search that is under way: after a reload, or begun in another tab. */
  async function findSearch(): Promise<void> {
    const id = store.reel?.id
    if (!id || search.value) {
      return
    }
    const [found] = await answer(api.GET('/api/reels/{id}/searches', { params: { path: { id } } }))
    if (found && store.reel?.id === id) {
      takeUp(found.job, found.fits)
    }
  }

  const takeUp = (started: JobView, fits: boolean): void => (fits ? fitting : exploring).follow(started)
  const stop = (): Promise<void> => (search.value === 'fits' ? fitting : exploring).stop()

  async function name(trial: TrialView, to: string): Promise<void> {
    const id = store.reel?.id
    if (id) {
      const path = { id, trial: trial.id }
      await answer(api.PUT('/api/reels/{id}/trials/{trial}', { params: { path }, body: { name: to } }))
      await loadTrials()
    }
  }

  async function forget(trial: TrialView): Promise<void> {
    const id = store.reel?.id
    if (id) {
      await answer(api.DELETE('/api/reels/{id}/trials/{trial}', { params: { path: { id, trial: trial.id } } }))
      pointed.value = null
      await loadTrials()
    }
  }

  async function searchEnded(now: JobView, fits: boolean): Promise<void> {
    // The dots are there when they are spoken of.
    await loadTrials().catch(sayProblem)
    if (now.state === 'DONE') {
      say(fits ? (now.result ?? '') : 'Explored. Each dot is a setting; press one to take it.')
    } else if (now.problem) {
      sayProblem(new Error(now.problem))
    }
  }

  return {
    facts,
    factsOf,
    trials,
    marks,
    pointed,
    search,
    mayNarrow,
    mayThin,
    delivery,
    current,
    byWeight,
    edge,
    taken,
    shown,
    job,
    working,
    file,
    set,
    change,
    takePalette,
    changeFraming,
    changeEncoding,
    loadTrials,
    loadFacts,
    begin,
    findSearch,
    stop,
    name,
    forget,
  }
})

/** Records come with their fields in one order, so that their text tells. */
const isSame = (a: Delivery, b: Delivery | null): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b))

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) {
    return value.map(sorted)
  }
  return value !== null && typeof value === 'object'
    ? Object.fromEntries(
        Object.entries(value)
          .sort(([a], [b]) => (a < b ? -1 : 1))
          .map(([key, each]) => [key, sorted(each)]),
      )
    : value
}
