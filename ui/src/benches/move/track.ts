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

/** The server tells the numbers of poses in ten thousandths. */
const FINEST = 1e4

/** A number is told for the first frame, then its changes; what never changes is told once. */
export function unfolded(told: Told, frames: number): Track {
  const away = new Set(told.away)
  const at = <V>(values: V[], row: number): V => (values.length === 1 ? values[0] : values[row]) as V
  const sums: Pose = { x: 0, y: 0, scaleX: 0, scaleY: 0, turn: 0, opacity: 0, shown: 0, walk: 0 }
  const fields = Object.keys(sums) as (keyof Pose)[]
  const stops = Array.from({ length: frames }, (_, row) => {
    const pose = { ...sums }
    for (const field of fields) {
      sums[field] += told[field][row] ?? 0
      pose[field] = sums[field] / FINEST
    }
    return {
      pose,
      there: !away.has(row),
      turn: told.turns.length === 0 ? -1 : at(told.turns, row),
      art: told.arts[at(told.art, row)] ?? '',
    }
  })
  return { cutout: told.cutout, width: told.width, height: told.height, stops }
}
