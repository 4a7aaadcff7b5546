import type { RhythmView } from '@/api/types'

export interface SeamWords {
  word: string
  detail: string
  explained: string
  tone: 'calm' | 'alert' | 'plain'
}

/** The server's verdict on the seam in words for the box at the end of the rhythm bar. */
export function seamWords(rhythm: RhythmView | null, looking: boolean, problem: string): SeamWords {
  if (problem !== '') {
    return { word: '?', detail: 'not compared', tone: 'plain', explained: problem }
  }
  if (looking) {
    return { word: '…', detail: 'looking', tone: 'plain', explained: 'The frames are being compared.' }
  }
  const times = rhythm ? rhythm.seamRatio.toFixed(rhythm.seamRatio < 10 ? 1 : 0) : ''
  const detail = `${times} × usual`
  const step = 'The step from the last frame back to the first is'
  switch (rhythm?.seam) {
    case 'SMOOTH':
      return {
        word: 'even seam',
        detail,
        tone: 'calm',
        explained: `${step} as large as the usual step of this loop, or smaller.`,
      }
    case 'VISIBLE':
      return {
        word: 'larger seam',
        detail,
        tone: 'alert',
        explained: `${step} ${times} times as large as the usual step of this loop.`,
      }
    case 'JUMP':
      return {
        word: 'jump',
        detail,
        tone: 'alert',
        explained: `${step} ${times} times as large as the usual step of this loop: it cuts.`,
      }
    case 'CUTS':
      return {
        word: 'cuts',
        detail: 'every step',
        tone: 'plain',
        explained: 'Every step of this loop is a cut from one picture to another, and so is the seam.',
      }
    case 'REPEATS':
      return {
        word: 'repeats',
        detail: 'last = first',
        tone: 'alert',
        explained: 'The last frame repeats the first: the loop stops for a beat.',
      }
    default:
      return {
        word: '–',
        detail: 'no seam',
        tone: 'plain',
        explained: 'A seam is the step from the last frame back to the first. It is told from three frames on.',
      }
  }
}

/**
 * How full each segment is, 0 to 1: the loop's usual step fills two fifths, twice as much nearly two thirds, and a jump all
 * of it, however large.
 */
export function fillsFor(changes: number[], usual: number): number[] {
  const step = Math.max(0.002, usual)
  return changes.map((change) => 1 - Math.exp((-0.5 * change) / step))
}

const STEPS = [20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000, 60_000, 120_000, 600_000]
const MOST_TICKS = 9

const END_ROOM = 52

/**
 * Marks along the bar at round times, never so many that they touch, none close to the end, which is named as well.
 *
 * @param width of the whole bar in CSS pixels
 */
export function ticksFor(totalMillis: number, zoom: number, width: number): { millis: number; text: string }[] {
  const step = STEPS.find((each) => totalMillis / zoom / each <= MOST_TICKS) ?? totalMillis
  const ticks = []
  for (
    let millis = 0;
    totalMillis > 0 && millis < totalMillis * (1 - Math.max(0.06 / zoom, END_ROOM / width));
    millis += step
  ) {
    ticks.push({ millis, text: millis === 0 ? '0 s' : String(millis / 1000) })
  }
  return ticks
}
