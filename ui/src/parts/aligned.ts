import type { Aligned } from '@/api/types'

/** How a still lies that is not moved to lie on another one. */
export const AS_IT_WAS: Aligned = { dx: 0, dy: 0, turn: 0, scale: 1, sure: 0 }

export const isMoved = ({ dx, dy, turn, scale }: Aligned): boolean => dx !== 0 || dy !== 0 || turn !== 0 || scale !== 1
