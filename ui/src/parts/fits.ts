import type { Fit } from '@/api/types'

/** How a picture of another size lies on the canvas. */
export const WAYS: Record<Fit['way'], { label: string; means: string }> = {
  INSIDE: { label: 'Inside', means: 'All of the still is seen.' },
  FILL: { label: 'Fill', means: 'The still covers the canvas; what reaches over is cut.' },
  STRETCH: { label: 'Stretch', means: 'The still takes the shape of the canvas.' },
  AS_IS: { label: 'As it is', means: 'One pixel of the still is one pixel of the canvas.' },
}
