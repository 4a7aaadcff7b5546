/** Something that can be done, for buttons and menus alike. */
export interface Action {
  label: string
  icon: string
  /** Shown beside it; bound where the bench binds its keys. */
  keys?: string
  enabled: boolean
  run: () => unknown
}
