import type { Alignment, Cutout, Easing } from '@/api/types'

/** What things are called on this bench. */
export const EASINGS: { value: Easing; title: string }[] = [
  { value: 'HOLD', title: 'at once, at the end' },
  { value: 'EVEN', title: 'evenly' },
  { value: 'SOFT_START', title: 'softly' },
  { value: 'SOFT_END', title: 'to arrive softly' },
  { value: 'SOFT', title: 'softly, both ways' },
  { value: 'OVERSHOOT', title: 'past it, and back' },
]

export const ALIGNMENTS: { value: Alignment; title: string }[] = [
  { value: 'LEFT', title: 'Left edges' },
  { value: 'CENTER', title: 'Middles, across' },
  { value: 'RIGHT', title: 'Right edges' },
  { value: 'TOP', title: 'Upper edges' },
  { value: 'MIDDLE', title: 'Middles, down' },
  { value: 'BOTTOM', title: 'Lower edges' },
  { value: 'SPREAD_ACROSS', title: 'Even gaps across' },
  { value: 'SPREAD_DOWN', title: 'Even gaps down' },
]

export const BLENDS: { value: Cutout['blend']; title: string }[] = [
  { value: 'NORMAL', title: 'Normal' },
  { value: 'MULTIPLY', title: 'Multiply' },
  { value: 'SCREEN', title: 'Screen' },
  { value: 'OVERLAY', title: 'Overlay' },
  { value: 'DARKEN', title: 'Darken' },
  { value: 'LIGHTEN', title: 'Lighten' },
]
