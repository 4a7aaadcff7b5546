import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Cell, CopiedPose, Easing, Pose } from '@/api/types'
import { say } from '@/ground/messages'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useMoving } from './moving'

/** A place on the exposure sheet, by row and column from 0. */
export interface Place {
  row: number
  column: number
}

/** A pose that was copied, so many rows and columns from the first of them. */
interface Copied {
  right: number
  later: number
  pose: Pose
  leaves: Easing
}

/** Which cells of the exposure sheet are chosen, and what can be done with the poses in them. */
export const useCells = defineStore('cells', () => {
  const store = useReel()
  const playhead = usePlayhead()
  const moving = useMoving()
  const anchor = shallowRef<Place | null>(null)
  const cursor = shallowRef<Place>({ row: 0, column: 0 })
  const chosen = shallowRef<ReadonlySet<string>>(new Set())
  const copied = shallowRef<Copied[]>([])

  const keyOf = (cutout: number, frame: number): string => `${cutout} ${frame}`
  const has = (cutout: number, frame: number): boolean => chosen.value.has(keyOf(cutout, frame))

  const cells = computed<Cell[]>(() =>
    moving.cutouts.flatMap((cutout) =>
      store.ids.filter((frame) => has(cutout.id, frame)).map((frame) => ({ cutout: cutout.id, frame })),
    ),
  )
  /** Those of them in which a pose was set. */
  const keyed = computed(() => cells.value.filter(({ cutout, frame }) => keyIn(cutout, frame) !== undefined))

  function keyIn(cutout: number, frame: number) {
    return moving.cutouts.find((each) => each.id === cutout)?.keys.find((key) => key.frame === frame)
  }

  function goTo(place: Place, how: 'only' | 'extend' | 'toggle'): void {
    const cutout = moving.cutouts[place.column]
    const frame = store.ids[place.row]
    if (!cutout || frame === undefined) {
      return
    }
    cursor.value = place
    if (how === 'extend' && anchor.value) {
      chosen.value = new Set(between(anchor.value, place))
    } else {
      const next = new Set(how === 'toggle' ? chosen.value : [])
      if (!next.delete(keyOf(cutout.id, frame))) {
        next.add(keyOf(cutout.id, frame))
      }
      chosen.value = next
      anchor.value = place
    }
    if (how !== 'toggle' && !moving.chosen.has(cutout.id)) {
      moving.choose(cutout.id, how === 'extend')
    }
    playhead.playing = false
    playhead.goTo(place.row)
  }

  function between(from: Place, to: Place): string[] {
    const keys: string[] = []
    for (let column = Math.min(from.column, to.column); column <= Math.max(from.column, to.column); column++) {
      for (let row = Math.min(from.row, to.row); row <= Math.max(from.row, to.row); row++) {
        keys.push(keyOf(moving.cutouts[column]?.id ?? 0, store.ids[row] ?? 0))
      }
    }
    return keys
  }

  function none(): void {
    chosen.value = new Set()
  }

  const setPoses = (): Promise<boolean> => store.dispatch({ type: 'keepPoses', cells: cells.value })

  async function remove(): Promise<void> {
    if (keyed.value.length === 0) {
      say('No pose was set in these cells. To remove a cut-out, press its name above and then Delete.')
    } else {
      await store.dispatch({ type: 'removePoses', cells: keyed.value })
    }
  }

  /** The choice goes with the poses. */
  async function spread(): Promise<void> {
    const cutouts = [...new Set(keyed.value.map(({ cutout }) => cutout))]
    const rows = cells.value.map(({ frame }) => store.ids.indexOf(frame))
    const [first, last] = [Math.min(...rows), Math.max(...rows)]
    if (await store.dispatch({ type: 'spreadPoses', cells: keyed.value })) {
      const within = store.ids.slice(first, last + 1)
      chosen.value = new Set(
        cutouts.flatMap((cutout) =>
          within.filter((frame) => keyIn(cutout, frame)).map((frame) => keyOf(cutout, frame)),
        ),
      )
    }
  }
  const setLeaves = (leaves: Easing): Promise<boolean> =>
    store.dispatch({ type: 'setLeaves', cells: keyed.value, leaves })

  /** Moves the chosen poses to other frames, and the choice with them. */
  async function moveBy(by: number): Promise<void> {
    const moved = keyed.value
    if (moved.length > 0 && by !== 0 && (await store.dispatch({ type: 'movePoses', cells: moved, by }))) {
      chosen.value = new Set(
        moved.map(({ cutout, frame }) => keyOf(cutout, store.ids[store.ids.indexOf(frame) + by] ?? 0)),
      )
    }
  }

  /** Copies the poses that were set in the chosen cells; where none was, the one that is passed in the first of them. */
  function copy(): void {
    const from = keyed.value.length > 0 ? keyed.value : cells.value.slice(0, 1)
    const places = from.map(({ cutout, frame }) => ({
      column: moving.cutouts.findIndex((each) => each.id === cutout),
      row: store.ids.indexOf(frame),
      leaves: keyIn(cutout, frame)?.leaves ?? ('EVEN' as Easing),
    }))
    const top = Math.min(...places.map(({ row }) => row))
    const left = Math.min(...places.map(({ column }) => column))
    copied.value = places.flatMap(({ column, row, leaves }) => {
      const stop = moving.tracks[column]?.stops[row]
      return stop ? [{ right: column - left, later: row - top, pose: stop.pose, leaves }] : []
    })
    if (copied.value.length === 0) {
      return
    }
    say(
      `${copied.value.length === 1 ? 'A pose' : `${copied.value.length} poses`} copied. Ctrl + V puts them in from the cell you are on.`,
    )
  }

  /** Pastes from the cell one is on, into its column and those to the right. */
  async function paste(): Promise<void> {
    const { row, column } = cursor.value
    const frame = store.ids[row]
    const poses = copied.value.flatMap<CopiedPose>(({ right, later, pose, leaves }) => {
      const cutout = moving.cutouts[column + right]
      return cutout && row + later < store.ids.length ? [{ cutout: cutout.id, later, pose, leaves }] : []
    })
    const left = copied.value.length - poses.length
    if (frame === undefined || poses.length === 0) {
      return
    }
    if ((await store.dispatch({ type: 'pastePoses', poses, frame })) && left > 0) {
      say(`${left === 1 ? 'A pose' : `${left} poses`} would have come beyond the last frame or cut-out, and did not.`)
    }
  }

  return {
    anchor,
    cursor,
    chosen,
    copied,
    cells,
    keyed,
    has,
    goTo,
    none,
    setPoses,
    remove,
    spread,
    setLeaves,
    moveBy,
    copy,
    paste,
  }
})
