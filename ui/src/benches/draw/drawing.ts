import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { FillBy, Mark, Mirroring } from '@/api/types'
import { askBeforeLeaving } from '@/ground/unsent'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { usePens } from './pens'

export type Hand = 'draw' | 'rub' | 'fill' | 'line' | 'box' | 'round' | 'words' | 'pick' | 'take'

/** What the hand does with a pen. */
export const HANDS: readonly { value: Hand; title: string; key: string; about: string }[] = [
  { value: 'draw', title: 'Draw', key: 'd', about: 'A line by hand' },
  { value: 'rub', title: 'Rub out', key: 'r', about: 'Takes ink away; the still stays as it is' },
  { value: 'fill', title: 'Fill', key: 'f', about: 'Fills what looks alike around a place' },
  { value: 'line', title: 'Line', key: 'l', about: 'A straight line; with Shift by 15°' },
  { value: 'box', title: 'Box', key: 'b', about: 'A rectangle; with Shift a square' },
  { value: 'round', title: 'Round', key: 'o', about: 'An ellipse; with Shift a circle' },
  { value: 'words', title: 'Words', key: 'w', about: 'Words as ink' },
  { value: 'pick', title: 'Pick up', key: 'p', about: 'Takes the color that is seen at a place' },
  {
    value: 'take',
    title: 'Take',
    key: 't',
    about: 'Takes ink by a box or, with Alt, a free outline, to move, scale or copy it',
  },
]

/** How a figure is drawn. */
export type Body = 'line' | 'full' | 'both'

interface Settings {
  mirroring: Mirroring
  body: Body
  inside: string
  tolerance: number
  gap: number
  corners: boolean
  by: FillBy
  /** How many frames before and after shine through, 99 for all; how strongly, 0 to 100; undimmed and untinted or not. */
  before: number
  after: number
  strength: number
  lit: boolean
  round: boolean
  shines: boolean
  grid: boolean
}

const FIRST: Settings = {
  mirroring: 'NONE',
  body: 'line',
  inside: 'e0b04a',
  tolerance: 10,
  gap: 0,
  corners: false,
  by: 'INK',
  before: 1,
  after: 0,
  strength: 45,
  lit: false,
  round: true,
  shines: true,
  grid: true,
}

/** A mark, and where it was made. */
interface Made {
  reel: string
  frames: number[]
  mark: Mark
}

const MOST_SWATCHES = 32
/** The longest side of a canvas that the server draws ink on. */
const LONGEST_SIDE = 1600

/** Colors a page begins with: those of the house. */
export const FIRST_SWATCHES = [
  '1e2a32',
  '56626b',
  'fffdf9',
  'b23e28',
  'e8836b',
  'e0b04a',
  '2b6a80',
  '9cc4cf',
  '2c6b4d',
  '7a5a38',
  'ded4c1',
  '3f3a63',
]

/** What is being drawn with, and marks on their way to the server. */
export const useDrawing = defineStore('drawing', () => {
  const store = useReel()
  const playhead = usePlayhead()
  const pens = usePens()
  const hand = ref<Hand>('draw')
  const settings = useLocalStorage<Settings>('dobbin.drawing', FIRST, { mergeDefaults: true })
  const allWaiting = shallowRef<Made[]>([])
  const allFailed = shallowRef<Made[]>([])
  const ofOpenReel = (all: Made[]): Made[] => all.filter(({ reel }) => reel === store.reel?.id)
  /** Marks of the open reel that are not answered yet, the oldest first. */
  const waiting = computed(() => ofOpenReel(allWaiting.value))
  /** Those that could not be saved. They stay with their reel. */
  const failed = computed(() => ofOpenReel(allFailed.value))
  askBeforeLeaving(() => allFailed.value.length > 0)

  const frame = computed(() => playhead.frame)
  const canvas = computed(() => store.reel?.canvas ?? { width: 1, height: 1 })
  /** A canvas that ink can be drawn on, in place of this one where it is too large. */
  const smaller = computed(() => {
    const { width, height } = canvas.value
    const scale = LONGEST_SIDE / Math.max(width, height)
    return scale < 1
      ? { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) }
      : null
  })
  const swatches = computed(() => (store.reel && store.reel.swatches.length > 0 ? store.reel.swatches : FIRST_SWATCHES))

  /** Cut-outs that are seen on the page. */
  const cutoutsHere = computed(() =>
    (store.reel?.cutouts ?? []).filter((each) => !each.hidden && !each.away.includes(frame.value?.id ?? 0)),
  )

  function set(part: Partial<Settings>): void {
    settings.value = { ...settings.value, ...part }
  }

  /** @return whether it was saved, and its reel is still open */
  async function make(mark: Mark, frames = frame.value ? [frame.value.id] : []): Promise<boolean> {
    const reel = store.reel?.id
    if (frames.length === 0 || !reel) {
      return false
    }
    const mine = { reel, frames, mark }
    allWaiting.value = [...allWaiting.value, mine]
    const outcome = await store.draw(frames, mark)
    allWaiting.value = allWaiting.value.filter((each) => each !== mine)
    if (outcome === 'failed') {
      allFailed.value = [...allFailed.value, mine]
    }
    return outcome === 'made'
  }

  async function tryAgain(): Promise<void> {
    const again = failed.value
    giveUp()
    await Promise.all(again.map(({ frames, mark }) => make(mark, frames)))
  }

  function giveUp(): void {
    const given = failed.value
    allFailed.value = allFailed.value.filter((each) => !given.includes(each))
  }

  function use(color: string): void {
    pens.change({ color })
  }

  /** The color used last comes first. */
  function keepSwatch(color: string): void {
    const colors = [color, ...swatches.value.filter((each) => each !== color)].slice(0, MOST_SWATCHES)
    void store.dispatchLatest('swatches', { type: 'setSwatches', colors })
  }

  async function setSwatches(colors: string[]): Promise<void> {
    await store.dispatch({ type: 'setSwatches', colors: colors.slice(0, MOST_SWATCHES) })
  }

  function dropSwatch(color: string): void {
    void setSwatches(swatches.value.filter((each) => each !== color))
  }

  async function addPage(kind: 'empty' | 'copy' | 'still'): Promise<void> {
    const after = frame.value?.id ?? 0
    playhead.playing = false
    const before = new Set(store.ids)
    const made =
      kind === 'copy' && after !== 0
        ? await store.dispatch({ type: 'copyFrames', frames: [after], after })
        : await store.dispatch({ type: 'addPage', after, keepsStill: kind === 'still' })
    const added = store.ids.findIndex((id) => !before.has(id))
    if (made && added >= 0) {
      playhead.goTo(added)
    }
  }

  function flip(by: number): void {
    const count = store.frames.length
    if (count > 0) {
      playhead.playing = false
      playhead.goTo((((playhead.index + by) % count) + count) % count)
    }
  }

  return {
    hand,
    settings,
    set,
    waiting,
    failed,
    frame,
    canvas,
    smaller,
    swatches,
    cutoutsHere,
    make,
    tryAgain,
    giveUp,
    use,
    keepSwatch,
    setSwatches,
    dropSwatch,
    addPage,
    flip,
  }
})
