import type { FrameView, Size } from '@/api/types'
import { inkPixels } from './layers'

/** Colors of what shines through: they differ in lightness, too, so that they are told apart without color sight. */
export const BEFORE = '2b6a80'
export const AFTER = 'dca02f'
const ALL = 99

export interface Shining {
  frame: FrameView
  color: string
  /** 0 to 1. */
  strength: number
}

/**
 * @param at the page that is drawn on
 * @param round whether the loop closes: before the first comes the last
 * @return the farthest first
 */
export function shining(
  frames: FrameView[],
  at: number,
  before: number,
  after: number,
  strength: number,
  round: boolean,
): Shining[] {
  const seen = new Set([at])
  const found: Shining[] = []
  const most = frames.length - 1
  const add = (step: number, count: number, color: string): void => {
    for (let away = 1; away <= Math.min(count, most); away++) {
      const place = at + step * away
      const wrapped = ((place % frames.length) + frames.length) % frames.length
      const frame = frames[wrapped]
      if (frame && (round || place === wrapped) && !seen.has(wrapped)) {
        seen.add(wrapped)
        found.push({ frame, color, strength: strength / (count >= ALL ? 1 + away / 3 : away) })
      }
    }
  }
  add(-1, before, BEFORE)
  add(1, after, AFTER)
  return found.sort((a, b) => a.strength - b.strength)
}

/** Paints the ink of other pages; tinted, or as it is where the pages lie on a light table. */
export async function paintShining(
  pen: CanvasRenderingContext2D,
  reel: string,
  pages: Shining[],
  canvas: Size,
  lit: boolean,
  still: () => boolean,
): Promise<void> {
  const inks = await Promise.all(
    pages.map(async ({ frame }) =>
      frame.ink.picture === '' ? null : inkPixels(reel, frame.ink, canvas).catch(() => null),
    ),
  )
  if (!still()) {
    return
  }
  pen.clearRect(0, 0, canvas.width, canvas.height)
  pages.forEach(({ color, strength }, i) => {
    const ink = inks[i]
    if (!ink) {
      return
    }
    const sheet = new OffscreenCanvas(canvas.width, canvas.height)
    const own = sheet.getContext('2d')!
    own.putImageData(ink, 0, 0)
    if (!lit) {
      own.globalCompositeOperation = 'source-in'
      own.fillStyle = `#${color}`
      own.fillRect(0, 0, canvas.width, canvas.height)
    }
    pen.globalAlpha = lit ? 1 : strength
    pen.drawImage(sheet, 0, 0)
  })
  pen.globalAlpha = 1
}
