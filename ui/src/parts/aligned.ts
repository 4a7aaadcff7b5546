import type { Aligned, Light, Perspective } from '@/api/types'

const SEEN_FROM_THE_FRONT: Perspective = { across: 0, down: 0, stretch: 1, lean: 0 }

/** How a still lies that is not moved to lie on another one. */
export const AS_IT_WAS: Aligned = { dx: 0, dy: 0, turn: 0, scale: 1, perspective: SEEN_FROM_THE_FRONT, sure: 0 }

const isFromTheSide = ({ across, down, stretch, lean }: Perspective): boolean =>
  across !== 0 || down !== 0 || stretch !== 1 || lean !== 0

export const isMoved = ({ dx, dy, turn, scale, perspective }: Aligned): boolean =>
  dx !== 0 || dy !== 0 || turn !== 0 || scale !== 1 || isFromTheSide(perspective)

/** The light of the photo. */
export const AS_IT_IS: Light = { gain: 1, lift: 0 }

export const isLit = ({ gain, lift }: Light): boolean => gain !== 1 || lift !== 0
