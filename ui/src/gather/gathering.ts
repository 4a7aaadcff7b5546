import { computed, reactive, ref } from 'vue'
import { answer, api, bytesOf } from '@/api/client'
import type { FileView } from '@/api/types'
import { message, say, sayProblem } from '@/ground/messages'
import { askBeforeLeaving } from '@/ground/unsent'

/** One gathering at a time, the others wait: what is brought in is read a few at a time, and frames appear as they are. */
export const gathering = reactive({
  active: false,
  total: 0,
  read: 0,
  /** How many gatherings wait for this one to end. */
  waiting: 0,
  problems: [] as string[],
  notes: [] as string[],
  /** Said once all is done, until closed. */
  summary: '',
  /** Tries again what could not be read. */
  again: null as (() => void) | null,
  /** The frame that came of a gathering of one picture, which may be a plate of many drawings. */
  alone: null as { reel: string; frame: number } | null,
})
const stopper = ref(new AbortController())
let turn: Promise<void> = Promise.resolve()
// What was added is kept; what is still being read would be missing.
askBeforeLeaving(() => gathering.active || gathering.waiting > 0)

export const shown = computed(() => gathering.active || gathering.problems.length > 0 || gathering.notes.length > 0)

export function cancel(): void {
  stopper.value.abort()
}

export function dismiss(): void {
  Object.assign(gathering, { problems: [], notes: [], summary: '', again: null })
}

/**
 * @param total how much there is to read
 * @param gather reads it until the signal says stop, counting in `gathering.read`, and says what came of it
 */
export function inTurn(total: number, gather: (signal: AbortSignal) => Promise<string>): Promise<void> {
  gathering.waiting++
  turn = turn.then(() => run(total, gather))
  return turn
}

async function run(total: number, gather: (signal: AbortSignal) => Promise<string>): Promise<void> {
  stopper.value = new AbortController()
  const { signal } = stopper.value
  gathering.waiting--
  Object.assign(gathering, {
    active: true,
    total,
    read: 0,
    problems: [],
    notes: [],
    summary: '',
    again: null,
    alone: null,
  })
  try {
    const summary = await gather(signal)
    gathering.summary = signal.aborted ? `Stopped. ${summary}` : summary
  } catch (failure) {
    gathering.summary = 'Stopped.'
    sayProblem(failure)
  } finally {
    gathering.active = false
    if (!shown.value && gathering.summary && message.value?.kind !== 'problem') {
      say(gathering.summary)
    }
  }
}

/** Gives one file, or one picture of a clip, to the server. */
export function sendFile(
  file: Blob,
  name: string,
  signal: AbortSignal,
  choices: { side?: number; flattened?: boolean } = {},
): Promise<FileView> {
  return answer(
    api.POST('/api/pictures', {
      params: { query: { name, ...choices } },
      ...bytesOf(file),
      signal,
    }),
  )
}
