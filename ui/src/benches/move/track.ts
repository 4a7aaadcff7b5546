import type { Pose, Track as Told } from '@/api/types'

/** Where a cut-out is on one frame, and what it shows there. */
export interface Stop {
  pose: Pose
  there: boolean
  /** The place of the picture seen in its cycle, from 0; -1 where it has no cycle of several. */
  turn: number
  art: string
}

/** Where a cut-out is on each frame. */
export interface Track {
  cutout: number
  width: number
  height: number
  stops: Stop[]
}

/** The server tells each number of the poses as a list, and what is always the same only once. */
export function unfolded(told: Told, frames: number): Track {
  const away = new Set(told.away)
  const at = <V>(values: V[], row: number): V => (values.length === 1 ? values[0] : values[row]) as V
  const stops = Array.from({ length: frames }, (_, row) => ({
    pose: {
      x: at(told.x, row),
      y: at(told.y, row),
      scaleX: at(told.scaleX, row),
      scaleY: at(told.scaleY, row),
      turn: at(told.turn, row),
      opacity: at(told.opacity, row),
      shown: at(told.shown, row),
      walk: at(told.walk, row),
    },
    there: !away.has(row),
    turn: told.turns.length === 0 ? -1 : at(told.turns, row),
    art: told.arts[at(told.art, row)] ?? '',
  }))
  return { cutout: told.cutout, width: told.width, height: told.height, stops }
}
