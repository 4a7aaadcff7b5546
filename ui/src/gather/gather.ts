import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { FileView, LimitsView, NewStill } from '@/api/types'
import { Problem, sentenceFor } from '@/api/problem'
import { message, say, sayProblem } from '@/ground/messages'
import { listText, placesText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { Arriving } from './arriving'
import type { Into } from './arriving'
import { decodedHere } from './decodedHere'
import type { Gatherable } from './gatherable'

const AT_ONCE = 3

/** One gathering at a time, the others wait: files are read a few at a time, and frames appear as they are. */
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
  /** Tries the files again that could not be read. */
  again: null as (() => void) | null,
})
const stopper = ref(new AbortController())
let turn: Promise<void> = Promise.resolve()
export const shown = computed(() => gathering.active || gathering.problems.length > 0 || gathering.notes.length > 0)

export function cancel(): void {
  stopper.value.abort()
}

export function dismiss(): void {
  Object.assign(gathering, { problems: [], notes: [], summary: '', again: null })
}

/** Makes frames of files. */
export function gatherInto(files: Gatherable[], into: Into): Promise<void> {
  return inTurn(files, async (worth) => {
    const arriving = new Arriving(worth, into)
    try {
      const failed = await readAll(await arriving.inOrder(), (index, stills) => arriving.took(index, stills))
      await arriving.all()
      if (failed.length > 0) {
        gathering.again = () => void gatherInto(failed, arriving.onward())
      }
    } catch (failure) {
      if (!(failure instanceof Problem) || failure.kind !== 'unreachable') {
        throw failure
      }
      // What was read is put in, where that still can be.
      await arriving.all().catch(() => undefined)
      const missing = arriving.missing()
      const names = listText(missing.map(({ file }) => `“${file.name}”`))
      gathering.problems.push(`The server does not answer. ${missing.length === 1 ? 'This file is' : 'These files are'} not in the reel: ${names}.`)
      gathering.again = () => void gatherInto(missing, arriving.onward())
    }
    const places = arriving.places()
    return places.length === 0 ? 'Nothing was added.' : `Added: ${placesText(places)}.`
  })
}

/** Shows another still on a frame of the open reel. */
export function replaceIn(frame: number, file: Gatherable): Promise<void> {
  return gatherFor([file], async ([still]) => {
    const replaced = still !== undefined && (await useReel().dispatch({ type: 'replacePicture', frame, still }))
    return replaced ? 'The picture was replaced.' : 'Nothing was replaced.'
  })
}

/** Reads files for something else than frames. @param use says what came of it */
export function gatherFor(files: Gatherable[], use: (stills: NewStill[]) => Promise<string>): Promise<void> {
  return inTurn(files, async (worth) => {
    const came: NewStill[][] = []
    await readAll(worth, (index, stills) => (came[index] = stills))
    const stills = came.flat()
    return stopper.value.signal.aborted || stills.length === 0 ? 'Nothing was added.' : use(stills)
  })
}

/** @param gather says what came of it */
function inTurn(files: Gatherable[], gather: (worth: Gatherable[]) => Promise<string>): Promise<void> {
  const worth = files.filter(({ file }) => !file.name.startsWith('.'))
  if (worth.length === 0) {
    return Promise.resolve()
  }
  gathering.waiting++
  turn = turn.then(() => run(worth, gather))
  return turn
}

async function run(worth: Gatherable[], gather: (worth: Gatherable[]) => Promise<string>): Promise<void> {
  stopper.value = new AbortController()
  gathering.waiting--
  Object.assign(gathering, { active: true, total: worth.length, read: 0, problems: [], notes: [], summary: '', again: null })
  window.addEventListener('beforeunload', warnBeforeLeaving)
  try {
    const summary = await gather(worth)
    gathering.summary = stopper.value.signal.aborted ? `Stopped. ${summary}` : summary
  } catch (failure) {
    gathering.summary = 'Stopped.'
    sayProblem(failure)
  } finally {
    gathering.active = false
    if (!shown.value && gathering.summary && message.value?.kind !== 'problem') {
      say(gathering.summary)
    }
    window.removeEventListener('beforeunload', warnBeforeLeaving)
  }
}

/** @param came is told of each file as it is read; @return the files that could not be read */
async function readAll(files: Gatherable[], came: (index: number, stills: NewStill[]) => void): Promise<Gatherable[]> {
  const signal = stopper.value.signal
  const limits = await answer(api.GET('/api/limits'))
  const waiting = files.map((each, index) => ({ ...each, index }))
  const failed: Gatherable[] = []
  let unreachable: unknown = null

  async function reader(): Promise<void> {
    for (let next = waiting.shift(); next && !signal.aborted && unreachable === null; next = waiting.shift()) {
      const taken = await readOne(next.file, limits, signal).catch((failure: unknown) => {
        unreachable = failure
        return null
      })
      if (signal.aborted || taken === null) {
        return
      }
      gathering.notes.push(...taken.notes)
      if (taken.problem !== null) {
        gathering.problems.push(taken.problem)
        failed.push(next)
      }
      came(next.index, taken.stills)
      gathering.read++
    }
  }

  await Promise.all(Array.from({ length: AT_ONCE }, reader))
  if (unreachable !== null) {
    throw unreachable
  }
  return failed
}

/** A file that is too large is not sent at all. @throws Problem where the server does not answer */
async function readOne(file: File, limits: LimitsView, signal: AbortSignal): Promise<FileView> {
  try {
    if (file.size > limits.maxFileBytes) {
      const most = Math.floor(limits.maxFileBytes / 1_000_000)
      throw new Error(`“${file.name}” is larger than ${most} MB. Make it smaller first.`)
    }
    const send = (body: Blob): Promise<FileView> => sendFile(body, file.name, signal)
    return (await decodedHere(file, limits, signal, send)) ?? (await send(file))
  } catch (failure) {
    if (failure instanceof Problem && failure.kind === 'unreachable' && !signal.aborted) {
      throw failure
    }
    const said = sentenceFor(failure)
    return { stills: [], notes: [], problem: said.startsWith('“') ? said : `“${file.name}” was not read. ${said}` }
  }
}

function sendFile(file: Blob, name: string, signal: AbortSignal): Promise<FileView> {
  return answer(
    api.POST('/api/pictures', {
      params: { query: { name } },
      headers: { 'Content-Type': 'application/octet-stream' },
      body: file as never,
      bodySerializer: (body: unknown) => body as Blob,
      signal,
    }),
  )
}

/** What was added is kept; what is still being read would be missing. */
function warnBeforeLeaving(event: BeforeUnloadEvent): void {
  event.preventDefault()
}
