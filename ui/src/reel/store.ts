import { useDebounceFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answer, api } from '@/api/client'
import type { Edit, FrameView, JobView, Mark, ReelView, RhythmView, WeightView } from '@/api/types'
import { Problem, sentenceFor } from '@/api/problem'
import { sayProblem } from '@/ground/messages'
import { access, askAccess } from './access'

const LOOK_OVER_PAUSE = 120

/** Frames that are as they were stay the same objects, so that only what changed is drawn again. */
function keptFrames(before: FrameView[], after: FrameView[]): FrameView[] {
  const known = new Map(before.map((frame) => [frame.id, frame]))
  return after.map((frame) => {
    const old = known.get(frame.id)
    return old && isSame(old, frame) ? old : frame
  })
}

/** What a frame shows need not be looked into: `drawn` and `name` tell, and its ink by its picture and place. */
function isSame(a: FrameView, b: FrameView): boolean {
  return (Object.keys(b) as (keyof FrameView)[]).every((key) => key === 'content' || key === 'ink' || a[key] === b[key]) && a.ink.picture === b.ink.picture && a.ink.x === b.ink.x && a.ink.y === b.ink.y
}

/** The open reel as the server last told it, and the only ways to change it. */
export const useReel = defineStore('reel', () => {
  const reel = shallowRef<ReelView | null>(null)
  const weight = shallowRef<WeightView | null>(null)
  const rhythm = shallowRef<RhythmView | null>(null)
  /** Why the loop could not be looked over, or empty. */
  const rhythmProblem = ref('')
  const job = shallowRef<JobView | null>(null)
  /** Counts the settings that were heard to be tried on this reel. */
  const tried = ref(0)
  /** Counts what was heard of its deliveries. */
  const delivered = ref(0)
  const saving = ref(0)
  /** Counts the changes made in this tab. */
  const changedHere = ref(0)
  let turn: Promise<unknown> = Promise.resolve()
  /** The last change that waits for its turn, if it can be taken the place of. */
  let last: { subject: string; edit: Edit; done: Promise<boolean> } | null = null
  let events: EventSource | null = null
  let opening = 0

  const frames = computed(() => reel.value?.frames ?? [])
  const ids = computed(() => frames.value.map((frame) => frame.id))

  async function open(id: string): Promise<void> {
    close()
    const mine = ++opening
    const [told] = await Promise.all([answer(api.GET('/api/reels/{id}', { params: { path: { id } } })), askAccess(id)])
    if (mine !== opening) {
      return
    }
    take(told)
    listen(id)
    document.addEventListener('visibilitychange', onVisibility)
  }

  function close(): void {
    opening++
    last = null
    document.removeEventListener('visibilitychange', onVisibility)
    events?.close()
    events = null
    reel.value = weight.value = rhythm.value = job.value = access.value = null
    rhythmProblem.value = ''
  }

  /** Takes over what the server says, unless something newer is here already. */
  function take(view: ReelView): void {
    if (reel.value && (reel.value.id !== view.id || reel.value.revision >= view.revision)) {
      return
    }
    reel.value = { ...view, frames: keptFrames(reel.value?.frames ?? [], view.frames) }
    lookOver(view.id)
  }

  /** What is seen in the loop is asked for once the row of changes pauses, so that it never keeps one waiting. */
  const lookOver = useDebounceFn((id: string) => void refreshRhythm(id), LOOK_OVER_PAUSE)

  async function refreshRhythm(id: string): Promise<void> {
    try {
      const seen = await answer(api.GET('/api/reels/{id}/rhythm', { params: { path: { id } } }))
      if (reel.value?.id === id && seen.revision === reel.value.revision) {
        rhythm.value = seen
        rhythmProblem.value = ''
      }
      // What is not seen yet comes with the event "looked".
    } catch (failure) {
      rhythmProblem.value = sentenceFor(failure)
      sayProblem(failure)
    }
  }

  /** One change after the other, each based on the answer to the one before. @return whether it was made */
  function inTurn(change: (id: string, base: number) => Promise<ReelView>): Promise<boolean> {
    last = null
    const mine = turn.then(async () => {
      const now = reel.value
      if (!now) {
        return false
      }
      saving.value++
      try {
        const answered = await change(now.id, now.revision)
        if (reel.value?.id === now.id) {
          take(answered)
          changedHere.value++
        }
        return true
      } catch (failure) {
        if (failure instanceof Problem && failure.current && reel.value?.id === now.id) {
          take(failure.current)
        }
        sayProblem(failure)
        return false
      } finally {
        saving.value--
      }
    })
    turn = mine
    return mine
  }

  const sent = (id: string, base: number, edit: Edit): Promise<ReelView> =>
    answer(api.POST('/api/reels/{id}/edits', { params: { path: { id } }, body: { base, edit } }))

  const dispatch = (edit: Edit): Promise<boolean> => inTurn((id, base) => sent(id, base, edit))

  /** Draws on frames, or does something to what is drawn there: one step. */
  const draw = (frames: number[], mark: Mark): Promise<boolean> =>
    inTurn((id) => answer(api.POST('/api/reels/{id}/marks', { params: { path: { id } }, body: { frames, mark } })))

  /** Makes a cut-out ink on frames, where it lies there. */
  const imprint = (cutout: number, frames: number[]): Promise<boolean> =>
    inTurn((id) => answer(api.POST('/api/reels/{id}/imprints', { params: { path: { id } }, body: { cutout, frames } })))

  /** Evens the light of the stills on frames: one step. */
  const evenLight = (frames: number[]): Promise<boolean> =>
    inTurn((id) => answer(api.POST('/api/reels/{id}/even-light', { params: { path: { id } }, body: { frames } })))

  /** As `dispatch`. Where the one before is of the same subject and still waits for its turn, this takes its place. */
  function dispatchLatest(subject: string, edit: Edit): Promise<boolean> {
    if (last?.subject === subject) {
      last.edit = edit
      return last.done
    }
    const mine = { subject, edit, done: Promise.resolve(false) }
    mine.done = inTurn((id, base) => {
      last = last === mine ? null : last
      return sent(id, base, mine.edit)
    })
    last = mine
    return mine.done
  }

  /** Several edits as one: all or none of them, undone at once. */
  const together = (edits: Edit[], title: string): Promise<boolean> =>
    edits.length === 0
      ? Promise.resolve(true)
      : dispatch(edits.length === 1 ? (edits[0] as Edit) : { type: 'batch', edits, title })

  /** Settled once all that was sent by now is answered. */
  const settled = async (): Promise<void> => void (await turn)

  const undo = (): Promise<boolean> =>
    inTurn((id, base) => answer(api.POST('/api/reels/{id}/undo', { params: { path: { id } }, body: { base } })))

  const redo = (): Promise<boolean> =>
    inTurn((id, base) => answer(api.POST('/api/reels/{id}/redo', { params: { path: { id } }, body: { base } })))

  /** Goes to any step of the history. */
  const goToStep = (step: number): Promise<boolean> =>
    inTurn((id, base) => answer(api.POST('/api/reels/{id}/step', { params: { path: { id } }, body: { base, step } })))

  /** One stream for all there is to hear; each time it connects, what may have been missed is asked for. */
  function listen(id: string): void {
    events?.close()
    const stream = new EventSource(`/api/reels/${id}/events`)
    events = stream
    stream.addEventListener('open', () => void catchUp(id))
    stream.addEventListener('changed', (event) => {
      const { revision } = JSON.parse(event.data) as { revision: number }
      if (reel.value && revision > reel.value.revision && saving.value === 0) {
        void follow(id)
      }
    })
    stream.addEventListener('access', () => void askAccess(id).catch(sayProblem))
    stream.addEventListener('looked', (event) => {
      const { revision } = JSON.parse(event.data) as { revision: number }
      if (reel.value?.id === id && revision === reel.value.revision) {
        void refreshRhythm(id)
      }
    })
    stream.addEventListener('weight', (event) => takeWeight(JSON.parse(event.data) as WeightView))
    stream.addEventListener('tried', () => tried.value++)
    stream.addEventListener('delivered', () => delivered.value++)
    stream.addEventListener('job', (event) => {
      job.value = JSON.parse(event.data) as JobView
    })
  }

  /** An answer that comes when another reel is open, or none, is not taken for it. @return whether it was taken over */
  async function takeOver(id: string): Promise<boolean> {
    const told = await answer(api.GET('/api/reels/{id}', { params: { path: { id } } }))
    if (reel.value?.id !== id) {
      return false
    }
    take(told)
    return true
  }

  /** Takes over a change that was made elsewhere; what it weighs comes with an event. */
  const follow = (id: string): Promise<unknown> => takeOver(id).catch(sayProblem)

  async function catchUp(id: string): Promise<void> {
    try {
      if (!(await takeOver(id))) {
        return
      }
      const path = { id }
      const weighed = await answer(api.GET('/api/reels/{id}/weight', { params: { path } }))
      if (reel.value?.id === id) {
        takeWeight(weighed)
        tried.value++
        delivered.value++
        await askAccess(id)
        await followJob()
      }
    } catch (failure) {
      sayProblem(failure)
    }
  }

  /** A job that ended while nobody listened is asked about. */
  async function followJob(): Promise<void> {
    if (job.value?.state === 'RUNNING') {
      const { response, data } = await api.GET('/api/jobs/{id}', { params: { path: { id: job.value.id } } })
      if (data) {
        job.value = data
      } else if (response.status === 404) {
        job.value = { ...job.value, state: 'FAILED', problem: 'The server was started again meanwhile. Begin again.' }
      }
    }
  }

  /** Tries again what could not be weighed. */
  async function weighAgain(): Promise<void> {
    const id = reel.value?.id
    if (id) {
      const told = await answer(api.GET('/api/reels/{id}/weight', { params: { path: { id }, query: { again: true } } }))
      weight.value = told
    }
  }

  /** Two ways bring weights, the stream and the answer to a question; what came later may know less. */
  function takeWeight(told: WeightView): void {
    const now = weight.value
    const knowsLess = now !== null && now.file === told.file && now.bytes !== null && told.bytes === null
    if (now === null || (told.revision >= now.revision && !knowsLess)) {
      weight.value = told
    } else if (knowsLess) {
      weight.value = { ...now, revision: Math.max(now.revision, told.revision) }
    }
  }

  /** Browsers keep few connections to one server: a tab that nobody sees gives its own back. */
  function onVisibility(): void {
    if (document.hidden) {
      events?.close()
      events = null
    } else if (reel.value && !events) {
      listen(reel.value.id)
    }
  }

  return { reel, frames, ids, weight, rhythm, rhythmProblem, job, tried, delivered, saving, changedHere, open, close, take, dispatch, draw, imprint, evenLight, dispatchLatest, settled, together, weighAgain, undo, redo, goToStep }
})
