import type { Size } from '@/api/types'

export const MICROS = 1_000_000

/** A clip that the browser decodes. Moments are in microseconds from its beginning. */
export interface Clip {
  name: string
  size: Size
  length: number
  /** Whether the times of its pictures are known; if not, thirty a second are taken for granted. */
  exact: boolean
  /** @return when each picture that shows between the two moments begins to show, the first at or before `from` */
  times(from: number, to: number): Promise<number[]>
  /** @param times when the wanted pictures begin to show, ascending; @return each as soon as it is decoded, in that size */
  pictures(times: number[], size: Size): AsyncGenerator<OffscreenCanvas>
  close(): void
}

/** @return a canvas of that size, and the pen that draws on it */
export function canvasOf(size: Size): [OffscreenCanvas, OffscreenCanvasRenderingContext2D] {
  const canvas = new OffscreenCanvas(size.width, size.height)
  const pen = canvas.getContext('2d')!
  pen.imageSmoothingQuality = 'high'
  return [canvas, pen]
}
