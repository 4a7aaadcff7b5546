import type { Ink } from '@/api/types'

/** Where nothing is drawn. */
export const NO_INK: Ink = { picture: '', size: { width: 1, height: 1 }, x: 0, y: 0 }
