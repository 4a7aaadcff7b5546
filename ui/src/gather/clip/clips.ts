import { shallowRef } from 'vue'
import type { Into } from '../arriving'

/** A clip of which one has yet to choose what becomes frames, and where they go. */
export interface WaitingClip {
  file: File
  into: Into
}

const ENDINGS = /\.(mp4|m4v|mov|webm|mkv|ogv|avi)$/i

/** Clips that were brought in; the workplace shows the first. */
export const waitingClips = shallowRef<WaitingClip[]>([])

export const isClip = (file: File): boolean => file.type.startsWith('video/') || ENDINGS.test(file.name)

export function openInTurn(clips: WaitingClip[]): void {
  waitingClips.value = [...waitingClips.value, ...clips]
}
