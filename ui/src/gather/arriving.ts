import { answer, api } from '@/api/client'
import type { Edit, NewStill, ReelView } from '@/api/types'
import { router } from '@/app/router'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import type { Gatherable } from './gather'

/** What was read by then is put in together, this often at most. */
const PAUSE_MILLIS = 600

/**
 * Puts the stills of one gathering into a reel as they come, in counting order of their files' names, all as one step of
 * its history. The first of them make a new reel, where there is none.
 */
export class Arriving {
  private files: Gatherable[]
  private readonly gathering = crypto.randomUUID()
  private readonly came = new Map<number, NewStill[]>()
  private next = 0
  private added: number[] = []
  private turn: Promise<void> = Promise.resolve()
  private timer: number | undefined
  private stopped = false

  /** @param reel to put them into, or null for a new one; @param last the frame the next ones go after, 0 for before all */
  constructor(
    files: Gatherable[],
    public reel: string | null,
    public last: number,
  ) {
    this.files = files
  }

  /** @return the files in the order in which they will play */
  async inOrder(): Promise<Gatherable[]> {
    const names = this.files.map(({ file }) => file.name)
    const order = await answer(api.POST('/api/counting-order', { body: { names } }))
    this.files = order.map((index) => this.files[index] as Gatherable)
    return this.files
  }

  /** Takes the stills of a file; those of files before it go first. */
  took(index: number, stills: NewStill[]): void {
    this.came.set(index, stills)
    if (this.timer === undefined) {
      this.timer = window.setTimeout(() => this.flush(), this.added.length === 0 ? 0 : PAUSE_MILLIS)
    }
  }

  /** Puts in what is left. @return how many frames were added */
  async all(): Promise<number> {
    this.flush()
    await this.turn
    return this.added.length
  }

  private flush(): void {
    window.clearTimeout(this.timer)
    this.timer = undefined
    const stills: NewStill[] = []
    for (let ready = this.came.get(this.next); ready; ready = this.came.get(this.next)) {
      stills.push(...ready)
      this.came.delete(this.next++)
    }
    if (stills.length > 0) {
      this.turn = this.turn.then(() => this.add(stills))
    }
  }

  private async add(stills: NewStill[]): Promise<void> {
    if (this.stopped) {
      return
    }
    const store = useReel()
    const edit: Edit = { type: 'addStills', stills, after: this.last, gathering: this.gathering }
    if (this.reel === null) {
      await this.begin(edit)
    } else if (store.reel?.id === this.reel) {
      const here = store.ids
      // Where the frame they go after was removed meanwhile, they go to the end.
      const after = this.last === 0 || here.includes(this.last) ? this.last : (here.at(-1) ?? 0)
      if (await store.dispatch({ ...edit, after })) {
        this.note(here, store.ids)
        useSelection().of(this.added)
      } else {
        this.stopped = true
      }
    } else {
      const path = { id: this.reel }
      const before = await answer(api.GET('/api/reels/{id}', { params: { path } }))
      const after = await answer(api.POST('/api/reels/{id}/edits', { params: { path }, body: { base: before.revision, edit } }))
      this.note(idsOf(before), idsOf(after))
    }
  }

  /** A new reel with its first frames, or none at all. */
  private async begin(edit: Edit): Promise<void> {
    const made = await answer(api.POST('/api/reels', { body: { name: nameFor(this.files) } }))
    const path = { id: made.id }
    try {
      const filled = await answer(api.POST('/api/reels/{id}/edits', { params: { path }, body: { base: made.revision, edit } }))
      this.note([], idsOf(filled))
    } catch (failure) {
      await answer(api.DELETE('/api/reels/{id}', { params: { path } }))
      await answer(api.DELETE('/api/removed/{id}', { params: { path } }))
      throw failure
    }
    this.reel = made.id
    await router.push({ name: 'sheet', params: path })
  }

  private note(before: number[], after: number[]): void {
    const known = new Set(before)
    const fresh = after.filter((id) => !known.has(id))
    this.added = [...this.added, ...fresh]
    this.last = fresh.at(-1) ?? this.last
  }
}

const idsOf = (reel: ReelView): number[] => reel.frames.map((frame) => frame.id)

/** What a new reel is called: its folder, else its first file without number and ending. */
function nameFor(files: Gatherable[]): string {
  const first = files[0] as Gatherable
  const stem = first.file.name.replace(/\.[^.]+$/, '').replace(/[\s_(-]*\d+\)?$/, '')
  return (first.folder || stem || 'New reel').slice(0, 100)
}
