import type { Size } from '@/api/types'
import type { Box } from './poses'

/** A line that something lies on: across the canvas at `at`, upright where `axis` is x. */
export interface Guide {
  axis: 'x' | 'y'
  at: number
}

/** What a box may snap to: the edges and middle of the canvas and of other boxes. */
export function linesOf(canvas: Size, others: Box[]): { x: number[]; y: number[] } {
  const x = [0, canvas.width / 2, canvas.width]
  const y = [0, canvas.height / 2, canvas.height]
  for (const box of others) {
    x.push(box.left, (box.left + box.right) / 2, box.right)
    y.push(box.top, (box.top + box.bottom) / 2, box.bottom)
  }
  return { x, y }
}

/** How far a box must be shifted to lie on the nearest lines within reach, and which these are. */
export function snapped(box: Box, lines: { x: number[]; y: number[] }, reach: number) {
  const x = nearest([box.left, (box.left + box.right) / 2, box.right], lines.x, reach)
  const y = nearest([box.top, (box.top + box.bottom) / 2, box.bottom], lines.y, reach)
  const guides: Guide[] = []
  if (x) guides.push({ axis: 'x', at: x.at })
  if (y) guides.push({ axis: 'y', at: y.at })
  return { dx: x?.by ?? 0, dy: y?.by ?? 0, guides }
}

function nearest(places: number[], lines: number[], reach: number): { by: number; at: number } | null {
  let best: { by: number; at: number } | null = null
  for (const place of places) {
    for (const at of lines) {
      const by = at - place
      if (Math.abs(by) <= reach && (!best || Math.abs(by) < Math.abs(best.by))) {
        best = { by, at }
      }
    }
  }
  return best
}
