/** A form in which a loop can be had, beside the GIF. */
export interface LoopForm {
  /** By which the server knows it. */
  id: string
  title: string
  /** What it is good for, in a line. */
  hint: string
}

export const FORMS: LoopForm[] = [
  { id: 'apng', title: 'Animated PNG', hint: 'All colors and soft edges, and much larger than a GIF.' },
  { id: 'stills', title: 'Numbered PNG stills', hint: 'A zip of frame-0001.png and so on, with the time of each.' },
  {
    id: 'sheet',
    title: 'Sheet of all frames',
    hint: 'One PNG with the frames side by side, and a JSON file with the box and time of each.',
  },
  { id: 'still', title: 'One still', hint: 'A PNG of the frame that stands for the loop.' },
  { id: 'layers', title: 'Layers (OpenRaster)', hint: 'For a program to paint with: a layer for each frame.' },
]
