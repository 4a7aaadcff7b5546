/** Where the file is looked at: on a bare page, or among other things. */
export type Place = 'plain' | 'article' | 'thread' | 'tiles' | 'picture'

export const PLACES: { value: Place; title: string }[] = [
  { value: 'plain', title: 'A bare page' },
  { value: 'article', title: 'An article' },
  { value: 'thread', title: 'A message thread' },
  { value: 'tiles', title: 'A grid of pictures' },
  { value: 'picture', title: 'A picture of yours' },
]

/** How wide it is shown, in CSS pixels; 0 for its own width, `HALF` for half of that, as for screens with twice the pixels. */
export const OWN_WIDTH = 0
export const HALF = -1

export const WIDTHS: { value: number; title: string }[] = [
  { value: OWN_WIDTH, title: 'at its size' },
  { value: HALF, title: 'at half its size' },
  { value: 240, title: '240 px wide' },
  { value: 320, title: '320 px wide' },
  { value: 480, title: '480 px wide' },
  { value: 640, title: '640 px wide' },
]
