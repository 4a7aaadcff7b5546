import { ref } from 'vue'
import type { FrameView, Pasted } from '@/api/types'
import { NO_INK } from '@/parts/ink'

/** Frames on the clipboard: as they are, for any reel, and by name, for the one they came from. */
export interface Clip {
  reel: string
  ids: number[]
  frames: Pasted[]
  cut: boolean
}

const KIND = 'application/x-dobbin-frames'
const REMEMBERED = 'dobbin.clip'

/** What was copied last, here or in another tab. */
export const clip = ref<Clip | null>(read(localStorage.getItem(REMEMBERED)))
window.addEventListener('storage', (event) => {
  if (event.key === REMEMBERED) {
    clip.value = read(event.newValue)
  }
})

export function clipOf(reel: string, frames: FrameView[], cut: boolean): Clip {
  return {
    reel,
    ids: frames.map((frame) => frame.id),
    frames: frames.map(({ content, ink, delayMillis }) => ({ content, ink, delayMillis })),
    cut,
  }
}

/** @param event of the browser, whose clipboard then holds the frames; without one, only Dobbin knows of them */
export function remember(made: Clip, event?: ClipboardEvent): void {
  const text = JSON.stringify(made)
  clip.value = made
  localStorage.setItem(REMEMBERED, text)
  event?.clipboardData?.setData(KIND, text)
}

export function forget(): void {
  clip.value = null
  localStorage.removeItem(REMEMBERED)
}

export const clipIn = (event: ClipboardEvent): Clip | null => read(event.clipboardData?.getData(KIND) ?? null)

/** Frames that were copied before there was ink have none. */
function read(text: string | null): Clip | null {
  const held = text ? (JSON.parse(text) as Clip) : null
  return held && { ...held, frames: held.frames.map((frame) => ({ ...frame, ink: frame.ink ?? NO_INK })) }
}
