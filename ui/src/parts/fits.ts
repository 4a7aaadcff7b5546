import type { Fit } from '@/api/types'

/** How a picture of another size lies on the canvas. */
export const WAYS: { way: Fit['way']; label: string; means: string }[] = [
  { way: 'INSIDE', label: 'Inside', means: 'All of the still is seen.' },
  { way: 'FILL', label: 'Fill', means: 'All of the canvas is covered; what reaches over is cut.' },
  { way: 'STRETCH', label: 'Stretch', means: 'Made to the shape of the canvas.' },
  { way: 'AS_IS', label: 'As it is', means: 'One pixel of the still on one of the canvas.' },
]
