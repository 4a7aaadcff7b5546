import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Cell, CopiedPose, Easing } from '@/api/types'
import { say } from '@/app/messages'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useMoving } from './moving'

/** A place on the exposure sheet, by row and column from 0. */
export interface Place {
  row: number
  column: number
}

/** Which cells of the exposure sheet are chosen, and what can be done with the poses in them. */
export const useCells = defineStore('cells', () => {
  const store = useReel()
  const playhead = usePlayhead()
  const moving = useMoving()
  const anchor = shallowRef<Place | null>(null)
  const cursor = shallowRef<Place>({ row: 0, column: 0 })
  const chosen = shallowRef<ReadonlySet<string>>(new Set())
  const copied = shallowRef<CopiedPose[]>([])

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
  const remove = (): Promise<boolean> => store.dispatch({ type: 'removePoses', cells: keyed.value })
  const spread = (): Promise<boolean> => store.dispatch({ type: 'spreadPoses', cells: keyed.value })
  const setLeaves = (leaves: Easing): Promise<boolean> =>
    store.dispatch({ type: 'setLeaves', cells: keyed.value, leaves })

  /** Moves the chosen poses to other frames, and the choice with them. */
  async function moveBy(by: number): Promise<void> {
    const moved = keyed.value
    if (moved.length > 0 && by !== 0 && (await store.dispatch({ type: 'movePoses', cells: moved, by }))) {
      chosen.value = new Set(moved.map(({ cutout, frame }) => keyOf(cutout, store.ids[store.ids.indexOf(frame) + by] ?? 0)))
    }
  }

  /** Copies what is in the chosen cells, set there or passed through. */
  function copy(): void {
    const rows = cells.value.map(({ frame }) => store.ids.indexOf(frame))
    const first = Math.min(...rows)
    copied.value = cells.value.flatMap(({ cutout, frame }) => {
      const row = store.ids.indexOf(frame)
      const stop = moving.tracks.find((track) => track.cutout === cutout)?.stops[row]
      return stop ? [{ cutout, later: row - first, pose: stop.pose, leaves: keyIn(cutout, frame)?.leaves ?? 'EVEN' }] : []
    })
    say(`${copied.value.length === 1 ? 'A pose' : `${copied.value.length} poses`} copied. Ctrl + V puts them in from the cell you are on.`)
  }

  async function paste(): Promise<void> {
    const frame = store.ids[cursor.value.row]
    if (copied.value.length > 0 && frame !== undefined) {
      await store.dispatch({ type: 'pastePoses', poses: copied.value, frame })
    }
  }

  return { anchor, cursor, chosen, copied, cells, keyed, has, goTo, none, setPoses, remove, spread, setLeaves, moveBy, copy, paste }
})
