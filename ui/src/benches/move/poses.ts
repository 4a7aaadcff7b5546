import type { Cutout, Pose } from '@/api/types'
import type { Track } from './track'

export interface Point {
  x: number
  y: number
}

/** A box with its corners where a pose puts them, clockwise from what is its top left when it is upright. */
export function cornersOf(cutout: Cutout, track: Track, pose: Pose): Point[] {
  const { width, height } = track
  return [
    onCanvas(cutout, track, pose, { x: 0, y: 0 }),
    onCanvas(cutout, track, pose, { x: width, y: 0 }),
    onCanvas(cutout, track, pose, { x: width, y: height }),
    onCanvas(cutout, track, pose, { x: 0, y: height }),
  ]
}

/** Where a point of the box of a cut-out is on the canvas. */
export function onCanvas(cutout: Cutout, track: Track, pose: Pose, point: Point): Point {
  const turn = (pose.turn * Math.PI) / 180
  const x = (point.x - cutout.pivotX * track.width) * pose.scaleX
  const y = (point.y - cutout.pivotY * track.height) * pose.scaleY
  return { x: pose.x + x * Math.cos(turn) - y * Math.sin(turn), y: pose.y + x * Math.sin(turn) + y * Math.cos(turn) }
}

/** Where a point of the canvas is in the box of a cut-out; the pose is not flat. */
export function inBox(cutout: Cutout, track: Track, pose: Pose, point: Point): Point {
  const turn = (-pose.turn * Math.PI) / 180
  const dx = point.x - pose.x
  const dy = point.y - pose.y
  return {
    x: (dx * Math.cos(turn) - dy * Math.sin(turn)) / (pose.scaleX || 1e-6) + cutout.pivotX * track.width,
    y: (dx * Math.sin(turn) + dy * Math.cos(turn)) / (pose.scaleY || 1e-6) + cutout.pivotY * track.height,
  }
}

export interface Box {
  left: number
  top: number
  right: number
  bottom: number
}

export function boxAround(points: Point[]): Box {
  return {
    left: Math.min(...points.map((each) => each.x)),
    top: Math.min(...points.map((each) => each.y)),
    right: Math.max(...points.map((each) => each.x)),
    bottom: Math.max(...points.map((each) => each.y)),
  }
}

/** @return the pose shifted by less than a pixel, so that the upper left of its box lies between pixels */
export function onWholePixels(cutout: Cutout, track: Track, pose: Pose): Pose {
  const { left, top } = boxAround(cornersOf(cutout, track, pose))
  return { ...pose, x: pose.x + Math.round(left) - left, y: pose.y + Math.round(top) - top }
}

/** A pose as it is sent: numbers that fell out of a drag are kept to what the server keeps. */
export function tidy(pose: Pose): Pose {
  const rounded = Object.entries(pose).map(([name, value]) => [name, Math.round(value * 1e4) / 1e4])
  return Object.fromEntries(rounded) as unknown as Pose
}
