import { computed, ref, shallowRef } from 'vue'
import type { Ref } from 'vue'
import { limits } from '@/api/limits'
import type { Motion, Pose } from '@/api/types'
import { usePointerDrag } from '@/parts/pointerDrag'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useMoving } from './moving'
import type { Posed } from './moving'
import { boxAround, cornersOf, inBox } from './poses'
import type { Box, Point } from './poses'
import { linesOf, snapped } from './snapping'
import type { Guide } from './snapping'

const REACH = 6
const TURN_STEP = 15

/** What the next press on the stage does: pose cut-outs, draw a path for them, cut a box out of the frame, set the pivot. */
export type Tool = 'pose' | 'path' | 'box' | 'pivot'

/**
 * Drags on the stage. Everything follows the pointer at once and becomes one edit at the end; Escape gives it up.
 *
 * @param scale CSS pixels to one of the canvas
 */
export function useStageDrag(
  surface: Ref<Element | null>,
  scale: Ref<number>,
  done: { path: (points: Point[]) => void; box: (box: Box) => void },
) {
  const store = useReel()
  const playhead = usePlayhead()
  const moving = useMoving()
  const tool = ref<Tool>('pose')
  const guides = shallowRef<Guide[]>([])
  const path = shallowRef<Point[]>([])
  const box = shallowRef<Box | null>(null)
  const pivot = shallowRef<Point | null>(null)
  const drag = usePointerDrag(pointOf)
  const active = computed(() => drag.state.value !== null)

  function pointOf(event: PointerEvent | MouseEvent): Point {
    const bounds = (surface.value as Element).getBoundingClientRect()
    return { x: (event.clientX - bounds.left) / scale.value, y: (event.clientY - bounds.top) / scale.value }
  }

  function begin(
    event: PointerEvent,
    move: (at: Point, now: PointerEvent, from: Point) => void,
    drop: () => void,
    far?: number,
  ): void {
    event.stopPropagation()
    playhead.playing = false
    drag.press(event, {
      far,
      move: ({ from, to, event: now }) => move(to, now, from),
      drop: () => {
        guides.value = []
        drop()
      },
      cancel: giveUp,
    })
  }

  /** Back to posing, with nothing under the pointer. */
  function giveUp(): void {
    guides.value = []
    moving.draft(new Map())
    path.value = []
    box.value = pivot.value = null
    tool.value = 'pose'
  }

  function send(): void {
    if (moving.drafts.size > 0) {
      void moving.pose(new Map(moving.drafts))
    }
  }

  /** Moves all that is chosen; Shift keeps to one axis, Alt lets guides go. */
  function moveChosen(event: PointerEvent, before: Posed[] = moving.posed): void {
    const start = new Map(before.map((each) => [each.cutout.id, each.pose]))
    const around = boxAround(before.flatMap((each) => cornersOf(each.cutout, each.track, each.pose)))
    const others = moving.all
      .filter((each) => !start.has(each.cutout.id) && each.stop.there && !each.cutout.hidden)
      .map((each) => boxAround(cornersOf(each.cutout, each.track, each.pose)))
    const lines = linesOf(store.reel!.canvas, others)
    begin(
      event,
      (at, now, from) => {
        let dx = at.x - from.x
        let dy = at.y - from.y
        if (now.shiftKey) {
          if (Math.abs(dx) > Math.abs(dy)) dy = 0
          else dx = 0
        }
        guides.value = []
        if (moving.snapping && !now.altKey) {
          const moved = {
            left: around.left + dx,
            right: around.right + dx,
            top: around.top + dy,
            bottom: around.bottom + dy,
          }
          const to = snapped(moved, lines, REACH / scale.value)
          dx += to.dx
          dy += to.dy
          guides.value = to.guides
        }
        moving.draft(new Map([...start].map(([id, pose]) => [id, { ...pose, x: pose.x + dx, y: pose.y + dy }])))
      },
      send,
    )
  }

  /** Drags a corner: the size about the pivot, in proportion, or freely with Alt. */
  function scaleFrom(event: PointerEvent, each: Posed): void {
    const start = each.pose
    const pivotX = each.cutout.pivotX * each.track.width
    const pivotY = each.cutout.pivotY * each.track.height
    const grip = inBox(each.cutout, each.track, start, pointOf(event))
    const free = each.cutout.art.kind !== 'group'
    begin(
      event,
      (at, now) => {
        const here = inBox(each.cutout, each.track, start, at)
        const across = ratio(here.x - pivotX, grip.x - pivotX)
        const down = ratio(here.y - pivotY, grip.y - pivotY)
        const both = ratio(
          (here.x - pivotX) * (grip.x - pivotX) + (here.y - pivotY) * (grip.y - pivotY),
          (grip.x - pivotX) ** 2 + (grip.y - pivotY) ** 2,
        )
        const [x, y] = now.altKey && free ? [across, down] : [both, both]
        draftOne(each, { ...start, scaleX: start.scaleX * x, scaleY: start.scaleY * y })
      },
      send,
    )
  }

  /** Drags the knob: the turn, in steps of 15 degrees with Shift. */
  function turnFrom(event: PointerEvent, each: Posed): void {
    const start = each.pose
    const angle = (at: Point): number => (Math.atan2(at.y - start.y, at.x - start.x) * 180) / Math.PI
    const first = angle(pointOf(event))
    let turned = 0
    let last = first
    begin(
      event,
      (at, now) => {
        // The way round is added up, so that several rounds can be made.
        turned += ((angle(at) - last + 540) % 360) - 180
        last = angle(at)
        const turn = start.turn + turned
        draftOne(each, { ...start, turn: now.shiftKey ? Math.round(turn / TURN_STEP) * TURN_STEP : turn })
      },
      send,
    )
  }

  /** The pivot goes to where the pointer is let go. */
  function setPivot(event: PointerEvent, each: Posed): void {
    begin(
      event,
      (at) => (pivot.value = at),
      () => pivotAt(pivot.value as Point, each),
      0,
    )
  }

  function pivotAt(at: Point, each: Posed): void {
    giveUp()
    const inside = inBox(each.cutout, each.track, each.pose, at)
    const x = inside.x / each.track.width
    const y = inside.y / each.track.height
    void store.dispatch({ type: 'setPivot', cutout: each.cutout.id, x, y })
  }

  function drawPath(event: PointerEvent): void {
    path.value = [pointOf(event)]
    begin(
      event,
      (at) => (path.value = [...path.value, at]),
      () => pathOf(path.value),
    )
  }

  function drawBox(event: PointerEvent): void {
    const start = pointOf(event)
    begin(
      event,
      (at) => (box.value = boxAround([start, at])),
      () => boxOf(box.value as Box),
    )
  }

  function pathOf(points: Point[]): void {
    giveUp()
    done.path(points)
  }

  function boxOf(drawn: Box): void {
    giveUp()
    done.box(drawn)
  }

  function draftOne(each: Posed, pose: Pose): void {
    moving.draft(new Map([[each.cutout.id, pose]]))
  }

  return {
    tool,
    guides,
    path,
    box,
    pivot,
    active,
    pointOf,
    giveUp,
    moveChosen,
    scaleFrom,
    turnFrom,
    setPivot,
    drawPath,
    drawBox,
    pivotAt,
    pathOf,
    boxOf,
  }
}

/** So that nothing is divided by nothing, and nothing vanishes under the pointer for good. */
function ratio(now: number, before: number): number {
  return Math.abs(before) < 1e-6 ? 1 : Math.sign(now / before || 1) * Math.max(0.01, Math.abs(now / before))
}

/** A path with no more points than the server takes. */
export function followMotion(points: Point[]): Motion {
  const step = Math.ceil(points.length / (limits.Follow.path.max - 1))
  return { kind: 'follow', path: points.filter((_, i) => i % step === 0 || i === points.length - 1) }
}
