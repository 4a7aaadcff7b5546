import { answer, api, bytesOf } from '@/api/client'
import type { Clip } from './clip'

const SMALL_SIDE = 48
/** As many as the server compares. */
const MOST = 600

/** @return the places of the first picture of the stretch that loops best and of the one after its last; null for none */
export async function bestLoop(
  clip: Clip,
  times: number[],
  signal: AbortSignal,
  read: (share: number) => void,
): Promise<{ from: number; to: number } | null> {
  const few = times.slice(0, MOST)
  const scale = SMALL_SIDE / Math.max(clip.size.width, clip.size.height)
  const width = Math.max(1, Math.round(clip.size.width * scale))
  const height = Math.max(1, Math.round(clip.size.height * scale))
  const strip = new OffscreenCanvas(width, height * few.length)
  const pen = strip.getContext('2d')!
  let done = 0
  for await (const canvas of clip.pictures(few, { width, height })) {
    if (signal.aborted) {
      return null
    }
    pen.drawImage(canvas, 0, height * done++)
    read(done / few.length)
  }
  const found = await answer(
    api.POST('/api/clips/loop', {
      params: { query: { height } },
      ...bytesOf(await strip.convertToBlob({ type: 'image/png' })),
      signal,
    }),
  )
  return found.to === 0 ? null : found
}
