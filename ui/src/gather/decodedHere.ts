import type { FileView, LimitsView, NewStill } from '@/api/types'

/**
 * Files that the server cannot read and the browser may: it decodes them, and the server gets each picture as a PNG, without
 * loss. So whatever this browser shows can be used.
 */
interface Decoded {
  width: number
  height: number
  rgba: Uint8Array<ArrayBuffer>
  delayMillis: number
}

interface Source {
  count: number
  /** How often it plays in all, 0 for without end; -1 where it is no animation. */
  plays: number
  width: number
  height: number
  picture(index: number): Promise<Decoded>
  close(): void
}

const HEAD_BYTES = 32
const ANIMATED = 0x02
const SAYS_NOTHING = -1
/** Brands of the ISO base media format (ISO/IEC 14496-12) by the kind of picture they hold. */
const HEIC_BRANDS = ['heic', 'heix', 'heim', 'heis', 'hevc', 'mif1', 'msf1']

/** @return the type the browser would decode; null where the server reads the file itself */
async function typeToDecode(file: File): Promise<string | null> {
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer())
  const text = String.fromCharCode(...head)
  if (text.startsWith('RIFF') && text.slice(8, 12) === 'WEBP') {
    return text.slice(12, 16) === 'VP8X' && ((head[20] ?? 0) & ANIMATED) !== 0 ? 'image/webp' : null
  }
  if (text.slice(4, 8) === 'ftyp') {
    const brand = text.slice(8, 12)
    return brand.startsWith('avi') ? 'image/avif' : HEIC_BRANDS.includes(brand) ? 'image/heic' : null
  }
  const isKnown = ['\xFF\xD8\xFF', '\x89PNG', 'GIF8', 'BM', 'II*\0', 'MM\0*', 'PK'].some((start) =>
    text.startsWith(start),
  )
  return isKnown || !file.type.startsWith('image/') || file.type === 'image/svg+xml' ? null : file.type
}

/**
 * @param send gives a PNG to the server
 * @return what came of it; null where the file is the server's to read, or only the server knows why it cannot be
 */
export async function decodedHere(
  file: File,
  limits: LimitsView,
  signal: AbortSignal,
  send: (png: Blob) => Promise<FileView>,
): Promise<FileView | null> {
  const type = await typeToDecode(file)
  if (type === null) {
    return null
  }
  const source = await opened(file, type).catch(() => null)
  if (source === null) {
    return type === 'image/heic'
      ? refused(
          file,
          'is a HEIC photo, which this browser cannot read. Save it as JPEG first; phones and photo programs offer that.',
        )
      : null
  }
  try {
    return await sent(file, source, limits, signal, send)
  } catch (failure) {
    return failure instanceof DOMException && !signal.aborted
      ? refused(file, 'is damaged and cannot be read. Copy or export it again.')
      : Promise.reject(failure as Error)
  } finally {
    source.close()
  }
}

async function sent(
  file: File,
  source: Source,
  limits: LimitsView,
  signal: AbortSignal,
  send: (png: Blob) => Promise<FileView>,
): Promise<FileView> {
  if (source.width * source.height > limits.maxMegapixels * 1_000_000) {
    return refused(
      file,
      `is ${source.width} × ${source.height} pixels; at most ${limits.maxMegapixels} megapixels can be read. Make it smaller first.`,
    )
  }
  const { encode } = await import('fast-png')
  const count = Math.min(source.count, limits.maxFramesPerFile)
  const stills: NewStill[] = []
  for (let i = 0; i < count && !signal.aborted; i++) {
    const { width, height, rgba, delayMillis } = await source.picture(i)
    const answered = await send(
      new Blob([encode({ width, height, data: rgba, channels: 4 }) as Uint8Array<ArrayBuffer>]),
    )
    if (answered.problem !== null) {
      return answered
    }
    stills.push(...answered.stills.map((still) => ({ ...still, name: file.name, delayMillis, plays: source.plays })))
  }
  const notes = [`“${file.name}” was read by the browser and kept as PNG, pixel by pixel.`]
  if (count < source.count) {
    notes.push(`“${file.name}” has ${source.count} frames; the first ${count} were read.`)
  }
  return { stills, notes, problem: null }
}

const refused = (file: File, clause: string): FileView => ({
  stills: [],
  notes: [],
  problem: `“${file.name}” ${clause}`,
})

async function opened(file: File, type: string): Promise<Source> {
  return typeof ImageDecoder !== 'undefined' && (await ImageDecoder.isTypeSupported(type))
    ? byDecoder(file, type)
    : byBitmap(file)
}

async function byDecoder(file: File, type: string): Promise<Source> {
  const decoder = new ImageDecoder({ data: await file.arrayBuffer(), type })
  await decoder.tracks.ready
  await decoder.completed
  const track = decoder.tracks.selectedTrack
  const first = await decoder.decode()
  const { displayWidth: width, displayHeight: height } = first.image
  first.image.close()
  return {
    count: track?.frameCount ?? 1,
    plays: !track?.animated ? SAYS_NOTHING : Number.isFinite(track.repetitionCount) ? track.repetitionCount + 1 : 0,
    width,
    height,
    async picture(frameIndex) {
      const { image } = await decoder.decode({ frameIndex })
      const rgba = new Uint8Array(width * height * 4)
      await image.copyTo(rgba, { format: 'RGBA', colorSpace: 'srgb', layout: [{ offset: 0, stride: width * 4 }] })
      const delayMillis = track?.animated ? Math.round((image.duration ?? 0) / 1000) : 0
      image.close()
      return { width, height, rgba, delayMillis }
    },
    close: () => decoder.close(),
  }
}

/** Where the browser has no decoder of that kind for programs, it may still show the picture. */
async function byBitmap(file: File): Promise<Source> {
  const bitmap = await createImageBitmap(file, { premultiplyAlpha: 'none' })
  const { width, height } = bitmap
  return {
    count: 1,
    plays: SAYS_NOTHING,
    width,
    height,
    async picture() {
      const pen = new OffscreenCanvas(width, height).getContext('2d')!
      pen.drawImage(bitmap, 0, 0)
      const rgba = new Uint8Array(pen.getImageData(0, 0, width, height).data)
      return { width, height, rgba, delayMillis: 0 }
    },
    close: () => bitmap.close(),
  }
}
