/**
 * What a stroke covers, shown under the hand until the server has drawn it. The server's drawing is the one that counts; this
 * follows `dobbin.draw.Sweep`, `Curve` and `PixelPath`, so that nothing jumps, and a test holds the two together.
 */
export interface Point {
  x: number
  y: number
  width: number
}

export interface Box {
  left: number
  top: number
  right: number
  bottom: number
}

export const NO_BOX: Box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity }

export const around = (a: Box, b: Box): Box => ({
  left: Math.min(a.left, b.left),
  top: Math.min(a.top, b.top),
  right: Math.max(a.right, b.right),
  bottom: Math.max(a.bottom, b.bottom),
})

const FARTHEST_OFF = 1 / 40
const MOST_PIECES = 64
const STEEPEST_LEVELS = 1.5 * 255

/** How much of each pixel is covered, 0 to 255. */
export class Coverage {
  readonly values: Uint8Array

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.values = new Uint8Array(width * height)
  }

  cover(x: number, y: number, share: number): void {
    if (x >= 0 && y >= 0 && x < this.width && y < this.height) {
      const value = Math.floor(255 * share + 0.5)
      const at = y * this.width + x
      if (value > (this.values[at] as number)) {
        this.values[at] = value
      }
    }
  }

  clear(box: Box): void {
    const part = this.inside(box)
    for (let y = part.top; y < part.bottom; y++) {
      this.values.fill(0, y * this.width + part.left, y * this.width + part.right)
    }
  }

  inside(box: Box): Box {
    return {
      left: Math.max(0, Math.floor(box.left)),
      top: Math.max(0, Math.floor(box.top)),
      right: Math.min(this.width, Math.ceil(box.right)),
      bottom: Math.min(this.height, Math.ceil(box.bottom)),
    }
  }
}

/** Sweeps a round brush from one point to the next. @return the box that may have changed */
export function sweep(from: Point, to: Point, softness: number, coverage: Coverage): Box {
  const reach = Math.max(from.width, to.width) / 2 + 0.5
  const box = coverage.inside({
    left: Math.min(from.x, to.x) - reach,
    top: Math.min(from.y, to.y) - reach,
    right: Math.max(from.x, to.x) + reach,
    bottom: Math.max(from.y, to.y) + reach,
  })
  const dx = to.x - from.x
  const dy = to.y - from.y
  const squaredLength = dx * dx + dy * dy
  for (let y = box.top; y < box.bottom; y++) {
    for (let x = box.left; x < box.right; x++) {
      const awayX = x + 0.5 - from.x
      const awayY = y + 0.5 - from.y
      const along = awayX * dx + awayY * dy
      const share = squaredLength === 0 ? 0 : Math.max(0, Math.min(1, along / squaredLength))
      const offX = awayX - share * dx
      const offY = awayY - share * dy
      const squared = offX * offX + offY * offY
      if (squared < reach * reach) {
        coverage.cover(x, y, covered((from.width + share * (to.width - from.width)) / 2, Math.sqrt(squared), softness))
      }
    }
  }
  return box
}

function covered(radius: number, distance: number, softness: number): number {
  const outer = radius + 0.5
  const full = radius * (1 - softness) - 0.5
  const edge = Math.max(0, Math.min(1, (outer - distance) / (outer - full)))
  const smooth = edge * edge * (3 - 2 * edge)
  return Math.min(edge + softness * (smooth - edge), 2 * radius)
}

/** @return the pieces of the curve from `points[i]` to the next, the first point left out */
export function curve(points: Point[], i: number, softness: number): Point[] {
  const from = points[i] as Point
  const to = points[i + 1] as Point
  if (points.length < 3) {
    return [to]
  }
  const before = points[Math.max(0, i - 1)] as Point
  const after = points[Math.min(points.length - 1, i + 2)] as Point
  const bent = Math.max(bend(before, from, to, after), bend(after, to, from, before))
  const edge = 1 + (softness * Math.min(from.width, to.width)) / 2
  const farthestOff = Math.max(FARTHEST_OFF, edge / STEEPEST_LEVELS)
  const pieces = Math.max(1, Math.min(MOST_PIECES, Math.ceil(Math.sqrt(bent / (8 * farthestOff)))))
  const curved: Point[] = []
  for (let piece = 1; piece < pieces; piece++) {
    const on = piece / pieces
    const back = (pieces - piece) / pieces
    const between = (axis: keyof Point): number =>
      exact(
        beyond(back, on) * before[axis] +
          beyond(on, back) * after[axis] +
          (end(back) * from[axis] + end(on) * to[axis]),
      )
    curved.push({ x: between('x'), y: between('y'), width: Math.max(0, between('width')) })
  }
  curved.push(to)
  return curved
}

function bend(before: Point, from: Point, to: Point, after: Point): number {
  const second = (axis: keyof Point): number => 2 * before[axis] - 5 * from[axis] + 4 * to[axis] - after[axis]
  return Math.hypot(second('x'), second('y')) + Math.abs(second('width')) / 2
}

const beyond = (near: number, far: number): number => -0.5 * far * (near * near)
const end = (near: number): number => 0.5 * near * (1 + 4 * near - 3 * (near * near))
const exact = (value: number): number => Math.round(value * 256) / 256

/** A line of whole pixels through all points, without doubled corners. */
export function hardLine(points: Point[], coverage: Coverage): void {
  const side = Math.max(1, Math.round(points[0]?.width ?? 1))
  const line = withoutCorners(pixels(points))
  for (const [x, y] of line) {
    stamp(x, y, side, coverage)
  }
}

type Pixel = [x: number, y: number]

function pixels(points: Point[]): Pixel[] {
  const cells = points.map(({ x, y }): Pixel => [Math.floor(x), Math.floor(y)])
  const line: Pixel[] = cells.slice(0, 1)
  for (let i = 0; i + 1 < cells.length; i++) {
    line.push(...between(cells[i] as Pixel, cells[i + 1] as Pixel).slice(1))
  }
  return line
}

function between(from: Pixel, to: Pixel): Pixel[] {
  const turned = from[1] > to[1] || (from[1] === to[1] && from[0] > to[0])
  const line = turned ? descending(to, from) : descending(from, to)
  return turned ? line.reverse() : line
}

function descending([x0, y0]: Pixel, [x1, y1]: Pixel): Pixel[] {
  const across = Math.abs(x1 - x0)
  const down = y1 - y0
  const step = x0 < x1 ? 1 : -1
  let error = across - down
  let x = x0
  let y = y0
  const line: Pixel[] = [[x, y]]
  while (x !== x1 || y !== y1) {
    const doubled = 2 * error
    if (doubled > -down) {
      error -= down
      x += step
    }
    if (doubled < across) {
      error += across
      y++
    }
    line.push([x, y])
  }
  return line
}

const touches = (a: Pixel, b: Pixel): boolean => Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]) === 1
const isDiagonal = (a: Pixel, b: Pixel): boolean => Math.abs(a[0] - b[0]) === 1 && Math.abs(a[1] - b[1]) === 1

function withoutCorners(line: Pixel[]): Pixel[] {
  const kept: Pixel[] = []
  line.forEach((pixel, i) => {
    const before = kept.at(-1)
    const after = line[i + 1]
    if (!(before && after && touches(pixel, before) && touches(pixel, after) && isDiagonal(before, after))) {
      kept.push(pixel)
    }
  })
  return kept
}

function stamp(atX: number, atY: number, side: number, coverage: Coverage): void {
  const before = Math.floor((side - 1) / 2)
  for (let y = 0; y < side; y++) {
    for (let x = 0; x < side; x++) {
      const dx = x + 0.5 - side / 2
      const dy = y + 0.5 - side / 2
      if (side < 3 || dx * dx + dy * dy <= (side * side) / 4) {
        coverage.cover(atX - before + x, atY - before + y, 1)
      }
    }
  }
}
