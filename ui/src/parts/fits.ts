import type { Fit } from '@/api/types'

/** How a picture of another size lies on the canvas. */
export const WAYS: Record<Fit['way'], { label: string; means: string }> = {
  INSIDE: { label: 'Inside', means: 'All of the still is seen.' },
  FILL: { label: 'Fill', means: 'The still covers the canvas; what reaches over is cut.' },
  STRETCH: { label: 'Stretch', means: 'The still takes the shape of the canvas.' },
  AS_IS: { label: 'As it is', means: 'One pixel of the still is one pixel of the canvas.' },
  PLACED: { label: 'As cropped', means: 'Where it lay when the canvas was cropped.' },
}

/** The region of a fit that is not placed. */
const NOWHERE: Fit['region'] = { x: 0, y: 0, width: 0, height: 0 }

/** A fit by one of the other ways, in the middle of the canvas. */
export const centered = (way: Exclude<Fit['way'], 'PLACED'>): Fit => ({
  way,
  focusX: 0.5,
  focusY: 0.5,
  background: '',
  region: NOWHERE,
})

/** @return the fit without what its way has no use for */
export const settledFit = (fit: Fit): Fit => ({ ...fit, region: fit.way === 'PLACED' ? fit.region : NOWHERE })
