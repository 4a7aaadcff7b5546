import type { Cutout } from '@/api/types'
import type { Track } from './track'

/** How a cut-out gets through a cell: it glides, it stays, or it is not there. */
export type Passage = 'glide' | 'hold' | 'none'

/** What the exposure sheet shows of one cut-out on one frame. */
export interface Exposure {
  key: boolean
  up: Passage
  down: Passage
  /** Which picture of its cycle is seen. */
  letter: string
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** What a picture of a cycle is called on the exposure sheet. */
export const letterOf = (turn: number): string => LETTERS[turn % LETTERS.length] ?? ''

/** A column of the exposure sheet. */
export function exposuresOf(cutout: Cutout, track: Track, frames: number[]): Exposure[] {
  const keys = new Map(cutout.keys.map((key) => [key.frame, key]))
  const rows = frames.map((_, row) => row).filter((row) => keys.has(frames[row] as number))
  const first = rows[0] ?? 0
  const last = rows.at(-1) ?? 0
  let before: Passage = 'hold'
  return frames.map((frame, row) => {
    const key = keys.get(frame)
    const up = before
    if (key) {
      const next = rows.find((each) => each > row)
      const glides = next !== undefined && key.leaves !== 'HOLD' && !samePose(track, row, next)
      before = glides ? 'glide' : 'hold'
    }
    const there = track.stops[row]?.there ?? false
    const turn = track.stops[row]?.turn ?? -1
    return {
      key: key !== undefined,
      up: passage(there && row > 0 && (track.stops[row - 1]?.there ?? false), row <= first ? 'hold' : up),
      down: passage(
        there && row < frames.length - 1 && (track.stops[row + 1]?.there ?? false),
        row >= last ? 'hold' : before,
      ),
      letter: there && turn >= 0 ? letterOf(turn) : '',
    }
  })
}

const passage = (there: boolean, kind: Passage): Passage => (there ? kind : 'none')

function samePose(track: Track, a: number, b: number): boolean {
  return JSON.stringify(track.stops[a]?.pose) === JSON.stringify(track.stops[b]?.pose)
}

/** A cell in words, for those who listen. */
export function exposureText(name: string, row: number, exposure: Exposure, there: boolean): string {
  const what = !there
    ? 'not there'
    : exposure.key
      ? 'pose'
      : exposure.down === 'glide' || exposure.up === 'glide'
        ? 'glides'
        : 'stays'
  return `${name}, frame ${row + 1}: ${what}${exposure.letter ? `, picture ${exposure.letter}` : ''}`
}
