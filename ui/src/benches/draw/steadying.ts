import type { Point } from './sweep'

/** Fractions of a pixel that the server tells apart, and no more, so that both draw the same line. */
const FINEST = 16

const exact = (value: number): number => Math.round(value * FINEST) / FINEST

/**
 * Steadies a hand: each point goes a share of the way from the last one to where the pointer is, the smaller the stronger.
 * The end of the line catches up when the pointer is lifted.
 */
export class Steadied {
  private last: Point | null = null

  constructor(private readonly strength: number) {}

  /** @return the next point of the line; null where it is none, being too near to the last */
  next(to: Point, least: number): Point | null {
    const share = 1 - 0.92 * (this.strength / 100)
    const from = this.last ?? to
    const point = {
      x: exact(from.x + share * (to.x - from.x)),
      y: exact(from.y + share * (to.y - from.y)),
      width: exact(from.width + Math.max(share, 0.3) * (to.width - from.width)),
    }
    if (this.last && Math.hypot(point.x - from.x, point.y - from.y) < least) {
      return null
    }
    this.last = point
    return point
  }

  /** @return where the pointer was lifted, if the line is not there yet */
  end(to: Point): Point | null {
    const point = { x: exact(to.x), y: exact(to.y), width: this.last?.width ?? exact(to.width) }
    return this.last && this.last.x === point.x && this.last.y === point.y ? null : point
  }
}
