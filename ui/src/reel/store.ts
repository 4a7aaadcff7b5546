import { useDebounceFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answer, api } from '@/api/client'
import type { Edit, FrameView, Mark, ReelView, RhythmView, WeightView } from '@/api/types'
import { latest } from '@/api/latest'
import { sentenceFor } from '@/api/problem'
import { sayProblem } from '@/ground/messages'
import { askBeforeLeaving } from '@/ground/unsent'
import { access, askAccess } from './access'
import { useChanges } from './changes'
import type { Outcome } from './changes'
import { useJobs } from './jobs'
import { useStream } from './stream'

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
  return (
    (Object.keys(b) as (keyof FrameView)[]).every((key) => key === 'content' || key === 'ink' || a[key] === b[key]) &&
    a.ink.picture === b.ink.picture &&
    a.ink.x === b.ink.x &&
    a.ink.y === b.ink.y
  )
}

/** The open reel as the server last told it, and the only ways to change it. */
export const useReel = defineStore('reel', () => {
  const reel = shallowRef<ReelView | null>(null)
  const weight = shallowRef<WeightView | null>(null)
  const rhythm = shallowRef<RhythmView | null>(null)
  /** Why the loop could not be looked over, or empty. */
  const rhythmProblem = ref('')
  const jobs = useJobs()
  /** Counts the settings that were heard to be tried on this reel. */
  const tried = ref(0)
  /** Counts what was heard of its deliveries. */
  const delivered = ref(0)
  /** Counts the changes made in this tab. */
  const changedHere = ref(0)
  const { saving, isUnsent, inTurn: sendInTurn, settled } = useChanges(() => reel.value, take)
  askBeforeLeaving(isUnsent)
  /** The last revision that was heard of. */
  let heard = 0
  /** The last change that waits for its turn, if it can be taken the place of. */
  let last: { subject: string; edit: Edit; done: Promise<boolean> } | null = null
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
    stream.listen(`/api/reels/${id}/events`)
  }

  function close(): void {
    opening++
    last = null
    heard = 0
    stream.leave()
    jobs.forget()
    reel.value = weight.value = rhythm.value = access.value = null
    rhythmProblem.value = ''
  }

  /** Takes over what the server says, unless something newer is here already. */
  function take(view: ReelView): void {
    if (reel.value && (reel.value.id !== view.id || reel.value.revision >= view.revision)) {
      return
    }
    reel.value = { ...view, frames: keptFrames(reel.value?.frames ?? [], view.frames) }
    void lookOver(view.id)
  }

  /** What is seen in the loop is asked for once the row of changes pauses, so that it never keeps one waiting. */
  const lookOver = useDebounceFn((id: string) => void refreshRhythm(id), LOOK_OVER_PAUSE)

  const askRhythm = latest(
    (id: string) => answer(api.GET('/api/reels/{id}/rhythm', { params: { path: { id } } })),
    (seen, id) => {
      if (reel.value?.id === id && seen.revision === reel.value.revision) {
        rhythm.value = seen
        rhythmProblem.value = ''
      }
      // What is not seen yet comes with the event "looked".
    },
  )

  async function refreshRhythm(id: string): Promise<void> {
    try {
      await askRhythm(id)
    } catch (failure) {
      if (reel.value?.id === id) {
        rhythmProblem.value = sentenceFor(failure)
        sayProblem(failure)
      }
    }
  }

  /** One change after the other, each based on the answer to the one before. */
  async function send(change: (id: string, base: number) => Promise<ReelView>): Promise<Outcome> {
    last = null
    const outcome = await sendInTurn(change)
    if (outcome === 'made') {
      changedHere.value++
    }
    followWhatWasHeard()
    return outcome
  }

  /** @return whether it was made, and its reel is still open */
  const inTurn = async (change: (id: string, base: number) => Promise<ReelView>): Promise<boolean> =>
    (await send(change)) === 'made'

  const sent = (id: string, base: number, edit: Edit): Promise<ReelView> =>
    answer(api.POST('/api/reels/{id}/edits', { params: { path: { id } }, body: { base, edit } }))

  const dispatch = (edit: Edit): Promise<boolean> => inTurn((id, base) => sent(id, base, edit))

  /** Draws on frames, or does something to what is drawn there: one step. */
  const draw = (frames: number[], mark: Mark): Promise<Outcome> =>
    send((id) => answer(api.POST('/api/reels/{id}/marks', { params: { path: { id } }, body: { frames, mark } })))

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

  const undo = (): Promise<boolean> =>
    inTurn((id, base) => answer(api.POST('/api/reels/{id}/undo', { params: { path: { id } }, body: { base } })))

  const redo = (): Promise<boolean> =>
    inTurn((id, base) => answer(api.POST('/api/reels/{id}/redo', { params: { path: { id } }, body: { base } })))

  /** Goes to any step of the history. */
  const goToStep = (step: number): Promise<boolean> =>
    inTurn((id, base) => answer(api.POST('/api/reels/{id}/step', { params: { path: { id } }, body: { base, step } })))

  /** One stream for all there is to hear; each time it connects, what may have been missed is asked for. */
  const stream = useStream(
    {
      changed: (data) => {
        heard = Math.max(heard, (JSON.parse(data) as { revision: number }).revision)
        followWhatWasHeard()
      },
      access: () => void (reel.value && askAccess(reel.value.id).catch(sayProblem)),
      looked: (data) => {
        const { revision } = JSON.parse(data) as { revision: number }
        if (reel.value && revision === reel.value.revision) {
          void refreshRhythm(reel.value.id)
        }
      },
      weight: (data) => takeWeight(JSON.parse(data) as WeightView),
      tried: () => tried.value++,
      delivered: () => delivered.value++,
      job: (data) => jobs.hear(JSON.parse(data)),
    },
    async () => {
      if (reel.value) {
        await catchUp(reel.value.id)
      }
    },
    async () => reel.value && answer(api.GET('/api/reels/{id}', { params: { path: { id: reel.value.id } } })),
  )

  /** Takes over a change that was made elsewhere, once nothing is under way here; what it weighs comes with an event. */
  function followWhatWasHeard(): void {
    const now = reel.value
    if (now && heard > now.revision && saving.value === 0) {
      void takeOver(now.id).catch(sayProblem)
    }
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
        jobs.askAgain()
        await askAccess(id)
      }
    } catch (failure) {
      sayProblem(failure)
    }
  }

  /** Tries again what could not be weighed. */
  async function weighAgain(): Promise<void> {
    const id = reel.value?.id
    if (id) {
      const told = await answer(api.GET('/api/reels/{id}/weight', { params: { path: { id }, query: { again: true } } }))
      if (reel.value?.id === id) {
        weight.value = told
      }
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

  return {
    reel,
    frames,
    ids,
    weight,
    rhythm,
    rhythmProblem,
    tried,
    delivered,
    isCut: stream.isCut,
    saving,
    changedHere,
    open,
    close,
    take,
    dispatch,
    draw,
    imprint,
    evenLight,
    dispatchLatest,
    settled,
    together,
    weighAgain,
    undo,
    redo,
    goToStep,
  }
})
