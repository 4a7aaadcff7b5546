import { answer, api } from '@/api/client'
import { limits } from '@/api/limits'
import { Problem } from '@/api/problem'
import type { Edit, NewStill, ReelView } from '@/api/types'
import { sayProblem } from '@/ground/messages'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import type { Arrival } from './gatherable'

/** Where frames go: into a reel, after one of its frames or 0; or into a new reel, which is shown with its first ones. */
export type Into = { reel: string; after: number } | { open: (reel: string) => unknown }

/** What was read by then is put in together, this often at most. */
const PAUSE_MILLIS = 600

/**
 * Puts the stills of one gathering into a reel as they come, in counting order of the names of what they come from, all as
 * one step of its history. The first of them make a new reel, where there is none.
 */
export class Arriving<Each extends Arrival> {
  private files: Each[]
  private readonly gathering = crypto.randomUUID()
  private readonly came = new Map<number, NewStill[]>()
  /** How many frames came of each file. */
  private readonly counts: number[] = []
  private next = 0
  /** How many of the files, in their order, are in the reel. */
  private kept = 0
  private added: number[] = []
  private turn: Promise<void> = Promise.resolve()
  private timer: number | undefined
  /** The reel as it was last answered; what others did since is no harm. */
  private told: ReelView | null = null

  /** Where the frames go; null until there is a reel. */
  reel: string | null
  /** The frame the next ones go after, 0 for before all. */
  last: number

  constructor(
    files: Each[],
    private readonly into: Into,
  ) {
    this.files = files
    this.reel = 'reel' in into ? into.reel : null
    this.last = 'reel' in into ? into.after : 0
  }

  /** @return the files in the order in which they will play */
  async inOrder(): Promise<Each[]> {
    const names = this.files.map(({ name, folder }) => (this.folders().length > 1 ? `${folder}/${name}` : name))
    const order = await answer(api.POST('/api/counting-order', { body: { names } }))
    this.files = order.map((index) => this.files[index] as Each)
    return this.files
  }

  private folders(): string[] {
    return [...new Set(this.files.map(({ folder }) => folder))]
  }

  /** Takes the stills of a file; those of files before it go first. */
  took(index: number, stills: NewStill[]): void {
    this.came.set(index, stills)
    this.counts[index] = stills.length
    if (this.timer === undefined) {
      this.timer = window.setTimeout(() => this.flush(), this.added.length === 0 ? 0 : PAUSE_MILLIS)
    }
  }

  /** Puts in what is left. @return how many frames were added */
  async all(): Promise<number> {
    this.flush()
    await this.turn
    await this.nameRuns()
    // In a new reel all frames are what came; there nothing is chosen.
    if ('reel' in this.into && this.added.length > 0 && useReel().reel?.id === this.reel) {
      useSelection().bring(this.added)
    }
    return this.added.length
  }

  /** What came from several folders becomes a run for each, with its name. */
  private async nameRuns(): Promise<void> {
    if (this.folders().length < 2 || this.told === null) {
      return
    }
    const frames = new Map<string, number[]>()
    let at = 0
    this.files.forEach(({ folder }, i) => {
      const ids = this.added.slice(at, (at += this.counts[i] ?? 0))
      frames.set(folder, [...(frames.get(folder) ?? []), ...ids])
    })
    const edits: Edit[] = [...frames]
      .filter(([folder, ids]) => folder !== '' && ids.length > 0)
      .map(([folder, ids]) => ({ type: 'nameRun', frames: ids, name: folder.slice(0, limits.NameRun.name.max) }))
    const most = limits.Batch.edits.max
    try {
      for (let i = 0; i < edits.length; i += most) {
        await this.change({ type: 'batch', edits: edits.slice(i, i + most), title: 'Name runs after their folders' })
      }
    } catch (failure) {
      // The frames are in all the same: someone moved or removed some of them meanwhile.
      sayProblem(failure)
    }
  }

  private async change(edit: Edit): Promise<void> {
    const told = this.told as ReelView
    const path = { id: told.id }
    this.told = await answer(
      api.POST('/api/reels/{id}/edits', { params: { path }, body: { base: told.revision, edit } }),
    )
    if (useReel().reel?.id === told.id) {
      useReel().take(this.told)
    }
  }

  /** @return the files of which nothing is in the reel */
  missing(): Each[] {
    return this.files.slice(this.kept)
  }

  /** @return where what is missing would go */
  onward(): Into {
    return this.reel === null ? this.into : { reel: this.reel, after: this.last }
  }

  /** @return the frame that was added, where it is one alone */
  single(): { reel: string; frame: number } | null {
    const [frame] = this.added.length === 1 ? this.added : []
    return this.reel !== null && frame !== undefined ? { reel: this.reel, frame } : null
  }

  /** @return which frames were added, by their places from 0, as the reel was last told */
  places(): number[] {
    const ids = this.told ? idsOf(this.told) : []
    return this.added.map((id) => ids.indexOf(id)).filter((place) => place >= 0)
  }

  private flush(): void {
    window.clearTimeout(this.timer)
    this.timer = undefined
    while (this.came.has(this.next)) {
      const stills = this.takeFolder()
      const upTo = this.next
      if (stills.length > 0) {
        this.turn = this.turn.then(() => this.add(stills)).then(() => void (this.kept = upTo))
        // Whoever waits for all hears of a failure; until then it is nobody's.
        this.turn.catch(() => undefined)
      }
    }
  }

  /** @return what is there of the next folder: an edit puts stills in counting order of their names, whatever their folder */
  private takeFolder(): NewStill[] {
    const { folder } = this.files[this.next] as Each
    const stills: NewStill[] = []
    for (
      let ready = this.came.get(this.next);
      ready && this.files[this.next]?.folder === folder;
      ready = this.came.get(this.next)
    ) {
      stills.push(...ready)
      this.came.delete(this.next++)
    }
    return stills
  }

  private async add(stills: NewStill[]): Promise<void> {
    if (this.reel === null) {
      await this.begin(stills)
      return
    }
    const before = this.told ?? (await this.asked(this.reel))
    let told
    try {
      told = await this.edited(before, stills, this.last)
    } catch (failure) {
      if (!(failure instanceof Problem) || this.last === 0) {
        throw failure
      }
      // The frame they go after was removed meanwhile: they go to the end.
      const now = await this.asked(this.reel)
      told = await this.edited(now, stills, idsOf(now).at(-1) ?? 0)
    }
    this.note(before, told)
    const store = useReel()
    if (store.reel?.id === this.reel) {
      store.take(told)
    }
  }

  private asked(id: string): Promise<ReelView> {
    return answer(api.GET('/api/reels/{id}', { params: { path: { id } } }))
  }

  private edited(reel: ReelView, stills: NewStill[], after: number): Promise<ReelView> {
    const edit: Edit = { type: 'addStills', stills, after, gathering: this.gathering }
    const path = { id: reel.id }
    return answer(api.POST('/api/reels/{id}/edits', { params: { path }, body: { base: reel.revision, edit } }))
  }

  /** A new reel with its first frames, or none at all. */
  private async begin(stills: NewStill[]): Promise<void> {
    const made = await answer(api.POST('/api/reels', { body: { name: nameFor(this.files) } }))
    const path = { id: made.id }
    try {
      this.note(made, await this.edited(made, stills, 0))
    } catch (failure) {
      await answer(api.DELETE('/api/reels/{id}', { params: { path } }))
      await answer(api.DELETE('/api/removed/{id}', { params: { path } }))
      throw failure
    }
    this.reel = made.id
    if ('open' in this.into) {
      await this.into.open(made.id)
    }
  }

  private note(before: ReelView, told: ReelView): void {
    const known = new Set(idsOf(before))
    const fresh = idsOf(told).filter((id) => !known.has(id) && !this.added.includes(id))
    this.told = told
    this.added = [...this.added, ...fresh]
    this.last = fresh.at(-1) ?? this.last
  }
}

const idsOf = (reel: ReelView): number[] => reel.frames.map((frame) => frame.id)

/** What a new reel is called: its folder, else its first file without number and ending. */
function nameFor(files: Arrival[]): string {
  const first = files[0] as Arrival
  const stem = first.name.replace(/\.[^.]+$/, '').replace(/[\s_(-]*\d+\)?$/, '')
  return (first.folder || stem || 'New reel').slice(0, 100)
}
