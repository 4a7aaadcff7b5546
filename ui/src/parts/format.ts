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

/** @return the bytes that a text as 500 KB or 2 MB stands for, or null; a number alone is of kilobytes */
export function bytesOf(text: string): number | null {
  const written = /^([\d.,]+)\s*(b|bytes|kb|mb|)$/i.exec(text.trim())
  const number = Number(written?.[1]?.replace(',', '.'))
  if (!written || !Number.isFinite(number)) {
    return null
  }
  const unit = (written[2] ?? '').toLowerCase()
  return Math.round(number * (unit === 'mb' ? 1_000_000 : unit.startsWith('b') ? 1 : 1000))
}

/** A visible error, times 100. */
export const errorText = (error: number): string => error.toFixed(error < 10 ? 2 : 1)

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

/** Which frames, counted from 1: frame 7, frames 3 to 5, frames 2, 4 and 9 to 12. @param indices from 0, in order */
export function placesText(indices: number[]): string {
  const runs: string[] = []
  for (let from = 0, to; from < indices.length; from = to + 1) {
    to = from
    while (indices[to + 1] === (indices[to] as number) + 1) to++
    const [first, last] = [(indices[from] as number) + 1, (indices[to] as number) + 1]
    runs.push(first === last ? `${first}` : `${first} to ${last}`)
  }
  return `${indices.length === 1 ? 'frame' : 'frames'} ${listText(runs)}`
}

/** Things in a row: a, b and c. Of many, the first ones. */
export function listText(all: string[], most = 4): string {
  const some = all.length > most ? [...all.slice(0, most - 1), `${all.length - most + 1} more`] : all
  return some.length < 2 ? some.join('') : `${some.slice(0, -1).join(', ')} and ${some.at(-1)}`
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
