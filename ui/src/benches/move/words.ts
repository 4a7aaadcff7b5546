import type { Alignment, Cutout, Easing, Motion, Scope, Shape } from '@/api/types'
import { listOf } from '@/parts/listOf'

/** What things are called on this bench. */

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

export const FORMS = listOf<Shape['form']>({
  RECTANGLE: 'Rectangle',
  ELLIPSE: 'Ellipse',
  POLYGON: 'Polygon',
  STAR: 'Star',
  LINE: 'Line',
  ARROW: 'Arrow',
})

export const MOTIONS = listOf<Motion['kind']>({
  slide: 'Slide',
  fade: 'Fade',
  blink: 'Blink',
  grow: 'Grow',
  spin: 'Spin',
  bob: 'Bob',
  shake: 'Shake',
  follow: 'Follow a path',
  letters: 'Letters, one after the other',
  walkColors: 'Colors along the letters',
})

type Side = Extract<Motion, { kind: 'slide' }>['side']
export const SIDES = listOf<Side>({ LEFT: 'the left', RIGHT: 'the right', TOP: 'the top', BOTTOM: 'the bottom' })

/** On which frames a change of pose counts. */
export const SCOPES: Record<Scope, { title: string; means: string }> = {
  HERE: { title: 'this frame', means: 'Sets a pose on this frame; the glides to the poses beside it follow' },
  FROM_HERE: { title: 'from here on', means: 'Shifts this pose and all poses after it' },
  EVERYWHERE: { title: 'all frames', means: 'Shifts all poses' },
}
