import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Edit, FileView, LimitsView, NewStill } from '@/api/types'
import { Problem, sentenceFor } from '@/api/problem'
import { message, say, sayProblem } from '@/app/messages'
import { router } from '@/app/router'
import { framesText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'

/** A file to be read, and the folder it lay in. */
export interface Gatherable {
  file: File
  folder: string
}

const AT_ONCE = 3

/** One gathering at a time: files are read one by one, and only when all are read does the reel change, in one edit. */
export const gathering = reactive({
  active: false,
  total: 0,
  read: 0,
  problems: [] as string[],
  notes: [] as string[],
  /** Said once all is done, until closed. */
  summary: '',
})
const stopper = ref(new AbortController())
export const shown = computed(() => gathering.active || gathering.problems.length > 0 || gathering.notes.length > 0)

export function cancel(): void {
  stopper.value.abort()
}

export function dismiss(): void {
  Object.assign(gathering, { problems: [], notes: [], summary: '' })
}

/** @param reel to add to, or null for a new one; @param after the frame they go after, or 0 for before all */
export function gatherInto(files: Gatherable[], reel: string | null, after: number): Promise<void> {
  return gather(files, async (stills, name) =>
    (await add(stills, reel, after, name)) ? `${framesText(stills.length)} added.` : 'Nothing was added.',
  )
}

/** Shows another still on a frame of the open reel. */
export function replaceIn(frame: number, file: Gatherable): Promise<void> {
  return gather([file], async ([still]) => {
    const replaced = still !== undefined && (await useReel().dispatch({ type: 'replacePicture', frame, still }))
    return replaced ? 'The picture was replaced.' : 'Nothing was replaced.'
  })
}

/** Reads files for something else than frames. @param use says what came of it */
export function gatherFor(files: Gatherable[], use: (stills: NewStill[]) => Promise<string>): Promise<void> {
  return gather(files, use)
}

/** @param use what becomes of the stills; says what came of it */
async function gather(files: Gatherable[], use: (stills: NewStill[], name: string) => Promise<string>): Promise<void> {
  const worth = files.filter(({ file }) => !file.name.startsWith('.'))
  if (gathering.active || worth.length === 0) {
    return
  }
  stopper.value = new AbortController()
  Object.assign(gathering, { active: true, total: worth.length, read: 0, problems: [], notes: [], summary: '' })
  window.addEventListener('beforeunload', warnBeforeLeaving)
  try {
    const stills = await readAll(worth, stopper.value.signal)
    if (stopper.value.signal.aborted) {
      gathering.summary = 'Stopped. Nothing was added.'
    } else if (stills.length === 0) {
      gathering.summary = 'None of these files could be read. Nothing was added.'
    } else {
      gathering.summary = await use(stills, nameFor(worth))
    }
  } catch (failure) {
    sayProblem(failure)
  } finally {
    gathering.active = false
    if (!shown.value && gathering.summary && message.value?.kind !== 'problem') {
      say(gathering.summary)
    }
    window.removeEventListener('beforeunload', warnBeforeLeaving)
  }
}

async function readAll(files: Gatherable[], signal: AbortSignal): Promise<NewStill[]> {
  const limits = await answer(api.GET('/api/limits'))
  const waiting = files.map((each, order) => ({ ...each, order }))
  const read: { order: number; stills: NewStill[] }[] = []

  async function reader(): Promise<void> {
    for (let next = waiting.shift(); next && !signal.aborted; next = waiting.shift()) {
      try {
        const taken = await readOne(next.file, limits, signal)
        read.push({ order: next.order, stills: taken.stills })
        if (taken.note) {
          gathering.notes.push(taken.note)
        }
      } catch (failure) {
        if (failure instanceof Problem && failure.kind === 'unreachable' && !signal.aborted) {
          throw failure
        }
        if (!signal.aborted) {
          gathering.problems.push(sentenceFor(failure))
        }
      }
      gathering.read++
    }
  }

  await Promise.all(Array.from({ length: AT_ONCE }, reader))
  return read.sort((a, b) => a.order - b.order).flatMap((each) => each.stills)
}

/** A file that is too large is not sent at all. */
async function readOne(file: File, limits: LimitsView, signal: AbortSignal): Promise<FileView> {
  if (file.size > limits.maxFileBytes) {
    const most = Math.floor(limits.maxFileBytes / 1_000_000)
    throw new Error(`“${file.name}” is larger than ${most} MB. Make it smaller first.`)
  }
  return answer(
    api.POST('/api/pictures', {
      params: { query: { name: file.name } },
      headers: { 'Content-Type': 'application/octet-stream' },
      body: file as never,
      bodySerializer: (body: unknown) => body as Blob,
      signal,
    }),
  )
}

/** @return whether the stills are frames now; why not was said */
async function add(stills: NewStill[], reel: string | null, after: number, name: string): Promise<boolean> {
  const edit: Edit = { type: 'addStills', stills, after }
  const store = useReel()
  if (reel === null) {
    await begin(name, edit)
    return true
  }
  if (store.reel?.id !== reel) {
    const path = { id: reel }
    const { revision } = await answer(api.GET('/api/reels/{id}', { params: { path } }))
    await answer(api.POST('/api/reels/{id}/edits', { params: { path }, body: { base: revision, edit } }))
    return true
  }
  const before = new Set(store.ids)
  const place = store.ids.includes(after) ? after : (store.ids.at(-1) ?? 0)
  const added = await store.dispatch({ ...edit, after: after === 0 ? 0 : place })
  if (added) {
    useSelection().of(store.ids.filter((id) => !before.has(id)))
  }
  return added
}

/** A new reel with its first frames, or none at all. */
async function begin(name: string, edit: Edit): Promise<void> {
  const made = await answer(api.POST('/api/reels', { body: { name } }))
  const path = { id: made.id }
  try {
    await answer(api.POST('/api/reels/{id}/edits', { params: { path }, body: { base: made.revision, edit } }))
  } catch (failure) {
    await answer(api.DELETE('/api/reels/{id}', { params: { path } }))
    throw failure
  }
  await router.push({ name: 'sheet', params: path })
}

/** What a new reel is called: its folder, else its first file without number and ending. */
function nameFor(files: Gatherable[]): string {
  const first = files[0] as Gatherable
  const stem = first.file.name.replace(/\.[^.]+$/, '').replace(/[\s_(-]*\d+\)?$/, '')
  return (first.folder || stem || 'New reel').slice(0, 100)
}

function warnBeforeLeaving(event: BeforeUnloadEvent): void {
  event.preventDefault()
}
