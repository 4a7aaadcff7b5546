/** The least and the largest a number may be. */
export interface Range {
  readonly min: number
  readonly max: number
}

/** @return the number of the range that is nearest to `value` */
export const within = ({ min, max }: Range, value: number): number => Math.min(max, Math.max(min, value))

/** A range of shares in percent. */
export const percent = ({ min, max }: Range): Range => ({ min: 100 * min, max: 100 * max })
