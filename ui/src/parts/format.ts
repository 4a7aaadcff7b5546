/** Bytes as people say them, in thousands: 412 KB, 1.27 MB. */
export function bytesText(bytes: number): string {
  if (bytes < 1000) {
    return `${bytes} bytes`
  }
  if (bytes < 999_500) {
    return `${Math.round(bytes / 1000)} KB`
  }
  const megabytes = bytes / 1_000_000
  return `${megabytes.toFixed(megabytes < 10 ? 2 : 1).replace(/\.?0+$/, '')} MB`
}

/** A delay on a card: 60 ms, 1.2 s. */
export function delayText(millis: number): string {
  return millis < 1000 ? `${millis} ms` : `${trimmed(millis / 1000)} s`
}

/** A length of time: 440 ms, 3.64 s, 1 min 5 s. */
export function durationText(millis: number): string {
  if (millis < 60_000) {
    return delayText(millis)
  }
  const seconds = Math.round(millis / 1000)
  return `${Math.floor(seconds / 60)} min ${seconds % 60} s`
}

export function framesText(count: number): string {
  return count === 1 ? '1 frame' : `${count} frames`
}

export function playsText(plays: number): string {
  return plays === 0 ? 'forever' : plays === 1 ? 'once' : `${plays} times`
}

function trimmed(value: number): string {
  return value.toFixed(2).replace(/\.?0+$/, '')
}

const AGO = new Intl.RelativeTimeFormat('en', { numeric: 'auto' })
const AGO_STEPS: [Intl.RelativeTimeFormatUnit, number][] = [
  ['day', 86_400],
  ['hour', 3_600],
  ['minute', 60],
]

/** How long ago a moment was: just now, 5 minutes ago, yesterday. */
export function agoText(moment: string): string {
  const seconds = (Date.now() - new Date(moment).getTime()) / 1000
  const [unit, length] = AGO_STEPS.find(([, each]) => seconds >= each) ?? []
  return unit && length ? AGO.format(-Math.floor(seconds / length), unit) : 'just now'
}

/** How fast so many frames in so much time are: 12.5 frames a second. */
export function paceText(frames: number, millis: number): string {
  return `${trimmed((1000 * frames) / millis)} frames a second`
}
