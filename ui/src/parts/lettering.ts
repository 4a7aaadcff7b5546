import type { Card } from '@/api/types'

/** The typefaces that come along, and how lines are set. */
export const TYPEFACES: { value: Card['typeface']; title: string }[] = [
  { value: 'PLAIN', title: 'Plain (Figtree)' },
  { value: 'BOOK', title: 'Book (Lora)' },
  { value: 'HAND', title: 'Hand (Caveat)' },
  { value: 'POSTER', title: 'Poster (Bebas Neue)' },
  { value: 'TYPED', title: 'Typed (Courier Prime)' },
]

export const ALIGNS: { value: Card['align']; title: string }[] = [
  { value: 'LEFT', title: 'Left' },
  { value: 'CENTER', title: 'Center' },
  { value: 'RIGHT', title: 'Right' },
]
