import type { Card } from '@/api/types'
import { listOf } from './listOf'

/** The typefaces that come along, and how lines are set. */
export const TYPEFACES = listOf<Card['typeface']>({
  PLAIN: 'Plain (Figtree)',
  BOOK: 'Book (Lora)',
  HAND: 'Hand (Caveat)',
  POSTER: 'Poster (Bebas Neue)',
  TYPED: 'Typed (Courier Prime)',
})

export const ALIGNS = listOf<Card['align']>({ LEFT: 'Left', CENTER: 'Center', RIGHT: 'Right' })

/** Where no typeface file of one's own is chosen. */
export const NO_FILE: Card['own'] = { file: '', name: '' }

/** Words and how they are set, on cards and on cut-outs. */
export type Lettered = Pick<Card, 'text' | 'typeface' | 'own' | 'size' | 'align'>
