import { layerUrl } from '@/api/urls'
import type { Ink, Size } from '@/api/types'

/** So much ink is kept ready: 156 pages of 480 x 320. */
const MOST_PIXELS = 24_000_000
const kept = new Map<string, Promise<ImageData>>()

export const blank = ({ width, height }: Size): ImageData => new ImageData(width, height)

/** What the layer of a frame's ink is called; empty where nothing is drawn. */
export const inkName = ({ picture, x, y }: Ink): string => (picture === '' ? '' : `${picture}.${x}.${y}`)

/** @return the pixels of a frame's ink, as large as the canvas */
export function inkPixels(reel: string, ink: Ink, canvas: Size): Promise<ImageData> {
  if (ink.picture === '') {
    return Promise.resolve(blank(canvas))
  }
  const key = [reel, inkName(ink), canvas.width, canvas.height].join(' ')
  const loading = kept.get(key) ?? loaded(layerUrl(reel, inkName(ink)), canvas)
  kept.delete(key)
  kept.set(key, loading)
  loading.catch(() => kept.delete(key))
  const most = Math.max(4, Math.floor(MOST_PIXELS / (canvas.width * canvas.height)))
  for (const oldest of [...kept.keys()].slice(0, Math.max(0, kept.size - most))) {
    kept.delete(oldest)
  }
  return loading
}

async function loaded(url: string, canvas: Size): Promise<ImageData> {
  const answered = await fetch(url)
  if (!answered.ok) {
    throw new Error(`The ink could not be loaded (${answered.status})`)
  }
  // Colors are taken as they are: converting them would change ink a little each time.
  const bitmap = await createImageBitmap(await answered.blob(), {
    premultiplyAlpha: 'none',
    colorSpaceConversion: 'none',
  })
  const surface = new OffscreenCanvas(canvas.width, canvas.height)
  const pen = surface.getContext('2d', { willReadFrequently: true })!
  pen.drawImage(bitmap, 0, 0)
  bitmap.close()
  return pen.getImageData(0, 0, canvas.width, canvas.height)
}

export const copyOf = (pixels: ImageData): ImageData =>
  new ImageData(new Uint8ClampedArray(pixels.data), pixels.width, pixels.height)
