import type { Aligned, Light } from '@/api/types'

/** How a still lies that is not moved to lie on another one. */
export const AS_IT_WAS: Aligned = { dx: 0, dy: 0, turn: 0, scale: 1, sure: 0 }

export const isMoved = ({ dx, dy, turn, scale }: Aligned): boolean => dx !== 0 || dy !== 0 || turn !== 0 || scale !== 1

/** The light of the photo. */
export const AS_IT_IS: Light = { gain: 1, lift: 0 }

export const isLit = ({ gain, lift }: Light): boolean => gain !== 1 || lift !== 0
