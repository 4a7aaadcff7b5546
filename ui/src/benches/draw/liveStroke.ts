import type { Mirroring, Pen } from '@/api/types'
import { blend } from './blending'
import { around, Coverage, curve, hardLine, NO_BOX, sweep } from './sweep'
import type { Box, Point } from './sweep'

/** A stroke under the hand: what it covers grows with each point, and only what changed is blended again. */
export class LiveStroke {
  readonly points: Point[] = []
  private readonly coverage: Coverage
  /** The last piece changes with the point that comes next. */
  private readonly tail: Coverage
  private tailBox: Box = NO_BOX
  /** Around all that is settled. */
  private covered: Box = NO_BOX
  private settled = 0

  constructor(
    private readonly base: ImageData,
    private readonly shown: ImageData,
    private readonly pen: Pen,
    private readonly mirroring: Mirroring,
  ) {
    this.coverage = new Coverage(base.width, base.height)
    this.tail = new Coverage(base.width, base.height)
  }

  private get softness(): number {
    return this.pen.softness / 100
  }

  /** @param restarts whether the line is drawn anew through these points, as while a straight one is pulled */
  add(points: Point[], restarts = false): Box {
    let box = this.tailBox
    if (restarts) {
      this.points.length = 0
    }
    this.points.push(...points)
    if (restarts || this.pen.hard) {
      box = around(box, this.covered)
      this.coverage.clear(this.covered)
      this.covered = NO_BOX
      this.settled = 0
    }
    box = around(box, this.pen.hard ? this.hard() : this.soft())
    const part = this.coverage.inside(box)
    if (part.left < part.right && part.top < part.bottom) {
      blend(this.base.data, this.shown.data, this.coverage, this.tail, this.pen, part)
    }
    return part
  }

  private hard(): Box {
    for (const path of this.mirrored(this.points)) {
      hardLine(path, this.coverage)
      for (const { x, y, width } of path) {
        this.covered = around(this.covered, {
          left: x - width - 1,
          top: y - width - 1,
          right: x + width + 1,
          bottom: y + width + 1,
        })
      }
    }
    return this.covered
  }

  private soft(): Box {
    this.tail.clear(this.tailBox)
    this.tailBox = NO_BOX
    let box = NO_BOX
    const last = this.points.length - 1
    if (last === 0) {
      return (this.tailBox = this.swept([this.points[0]!, this.points[0]!], this.tail))
    }
    for (; this.settled < last - 1; this.settled++) {
      box = around(
        box,
        this.swept([this.points[this.settled]!, ...curve(this.points, this.settled, this.softness)], this.coverage),
      )
    }
    this.covered = around(this.covered, box)
    this.tailBox = this.swept([this.points[last - 1]!, ...curve(this.points, last - 1, this.softness)], this.tail)
    return around(box, this.tailBox)
  }

  private swept(path: Point[], into: Coverage): Box {
    let box = NO_BOX
    for (const each of this.mirrored(path)) {
      for (let i = 0; i + 1 < each.length; i++) {
        box = around(box, sweep(each[i]!, each[i + 1]!, this.softness, into))
      }
    }
    return box
  }

  private mirrored(path: Point[]): Point[][] {
    const across = (points: Point[]): Point[] => points.map((point) => ({ ...point, x: this.base.width - point.x }))
    const down = (points: Point[]): Point[] => points.map((point) => ({ ...point, y: this.base.height - point.y }))
    switch (this.mirroring) {
      case 'LEFT_RIGHT':
        return [path, across(path)]
      case 'UP_DOWN':
        return [path, down(path)]
      case 'BOTH':
        return [path, across(path), down(path), down(across(path))]
      default:
        return [path]
    }
  }
}
