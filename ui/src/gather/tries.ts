import { answer, api } from '@/api/client'
import { MICROS } from './clip/clip'
import { gatherable } from './gatherable'
import type { Gatherable } from './gatherable'

export type Try = 'BURST' | 'PLATE' | 'CLIP'

const CLIP_RATE = 20
const CLIP_BITS = 3_000_000

/** A clip can be tried where the browser can make one. */
export const canTryClip = typeof VideoEncoder !== 'undefined'

/** @param place of a file among those of its kind, from 0 */
export const tryUrl = (kind: Try, place: number): string => `/api/tries/${kind}/${place}`

/** @return files to try something with, as if they had been brought */
export async function filesToTry(kind: Try): Promise<Gatherable[]> {
  const names = await answer(api.GET('/api/tries/{kind}', { params: { path: { kind } } }))
  const files = await Promise.all(
    names.map(async (name, place) => new File([await (await fetch(tryUrl(kind, place))).blob()], name)),
  )
  return (kind === 'CLIP' ? [await clipOf(files)] : files).map((file) => gatherable(file))
}

/** The browser encodes the pictures itself, so that no clip need come with the application. */
async function clipOf(files: File[]): Promise<File> {
  const { BufferTarget, CanvasSource, Output, WebMOutputFormat } = await import('mediabunny')
  const bitmaps = await Promise.all(files.map((file) => createImageBitmap(file)))
  const { width, height } = bitmaps[0]!
  const canvas = new OffscreenCanvas(width, height)
  const pen = canvas.getContext('2d', { alpha: false })!
  const target = new BufferTarget()
  const output = new Output({ format: new WebMOutputFormat(), target })
  const source = new CanvasSource(canvas, { codec: 'vp8', bitrate: CLIP_BITS })
  output.addVideoTrack(source, { frameRate: CLIP_RATE })
  await output.start()
  for (const [place, bitmap] of bitmaps.entries()) {
    pen.drawImage(bitmap, 0, 0)
    bitmap.close()
    await source.add(Math.round((place * MICROS) / CLIP_RATE) / MICROS, 1 / CLIP_RATE)
  }
  await output.finalize()
  return new File([target.buffer!], 'Gull clip.webm', { type: 'video/webm' })
}
