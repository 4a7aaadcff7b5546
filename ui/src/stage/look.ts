/** How the loop is looked at; no part of the work. */
export interface Look {
  /** Behind what is transparent: empty for squares, `paper`, or six digits. */
  ground: string
  zoom: 'fit' | number
}

export const ZOOMS: { value: Look['zoom']; title: string }[] = [
  { value: 'fit', title: 'To fit' },
  { value: 1, title: '1 : 1' },
  { value: 2, title: '2 : 1' },
  { value: 3, title: '3 : 1' },
  { value: 4, title: '4 : 1' },
  { value: 8, title: '8 : 1' },
]
