import type { Size } from '@/api/types'

const FEW = 128

/** Canvases of so few pixels are never smoothed: they are shown by whole factors. */
export const hasFewPixels = ({ width, height }: Size): boolean => Math.max(width, height) <= FEW
