import { canvasOf, MICROS } from './clip'
import type { Clip } from './clip'

const ASSUMED_RATE = 30
/** Far behind the end of any clip: the browser then finds out where the end is. */
const FAR_OFF = 1e7

/** @return the clip as the browser's player shows it, for browsers without a decoder for programs */
export async function bySeeking(file: File): Promise<Clip> {
  const player = document.createElement('video')
  const url = URL.createObjectURL(file)
  Object.assign(player, { muted: true, preload: 'auto', src: url })
  const close = (): void => {
    player.removeAttribute('src')
    URL.revokeObjectURL(url)
  }
  try {
    await happens(player, 'loadeddata')
    if (!Number.isFinite(player.duration)) {
      await seek(player, FAR_OFF)
    }
  } catch {
    close()
    throw new Error(`“${file.name}” is a clip this browser cannot play. Save it as MP4 or WebM first.`)
  }
  return {
    name: file.name,
    size: { width: player.videoWidth, height: player.videoHeight },
    length: Math.round((Number.isFinite(player.duration) ? player.duration : player.currentTime) * MICROS),
    exact: false,
    async times(from, to) {
      const first = Math.floor((from * ASSUMED_RATE) / MICROS)
      const end = Math.max(first + 1, Math.ceil((to * ASSUMED_RATE) / MICROS))
      return Array.from({ length: end - first }, (_, i) => Math.round(((first + i) * MICROS) / ASSUMED_RATE))
    },
    async *pictures(times, size) {
      for (const time of times) {
        // The middle of the time it shows is safe from rounding.
        await seek(player, time / MICROS + 0.5 / ASSUMED_RATE)
        const [canvas, pen] = canvasOf(size)
        pen.drawImage(player, 0, 0, size.width, size.height)
        yield canvas
      }
    },
    close,
  }
}

function seek(player: HTMLVideoElement, seconds: number): Promise<void> {
  const sought = happens(player, 'seeked')
  player.currentTime = seconds
  return sought
}

function happens(player: HTMLVideoElement, event: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const over = new AbortController()
    const { signal } = over
    player.addEventListener(event, () => (over.abort(), resolve()), { signal })
    player.addEventListener('error', () => (over.abort(), reject(new Error('cannot be played'))), { signal })
  })
}
