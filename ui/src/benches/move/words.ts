import type { Alignment, Cutout, Easing } from '@/api/types'

/** What things are called on this bench. Each kind has a name: one that is missing does not compile. */
function listOf<Kind extends string>(titles: Record<Kind, string>): { value: Kind; title: string }[] {
  return (Object.keys(titles) as Kind[]).map((value) => ({ value, title: titles[value] }))
}

export const EASINGS = listOf<Easing>({
  EVEN: 'linear',
  SOFT_START: 'ease in',
  SOFT_END: 'ease out',
  SOFT: 'ease in and out',
  OVERSHOOT: 'overshoot',
  HOLD: 'hold, then jump',
})

export const ALIGNMENTS = listOf<Alignment>({
  LEFT: 'Left edges',
  CENTER: 'Centers, horizontally',
  RIGHT: 'Right edges',
  TOP: 'Top edges',
  MIDDLE: 'Centers, vertically',
  BOTTOM: 'Bottom edges',
  SPREAD_ACROSS: 'Equal gaps, horizontally',
  SPREAD_DOWN: 'Equal gaps, vertically',
})

export const BLENDS = listOf<Cutout['blend']>({
  NORMAL: 'Normal',
  MULTIPLY: 'Multiply',
  SCREEN: 'Screen',
  OVERLAY: 'Overlay',
  DARKEN: 'Darken',
  LIGHTEN: 'Lighten',
})
