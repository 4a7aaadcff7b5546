import { shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { Size } from '@/api/types'
import { within } from '@/parts/numbers'
import { boxAround } from './poses'
import type { Box, Point } from './poses'
import type { Tool } from './stageDrag'

/**
 * The tools of the stage by keyboard: arrow keys move a cross, Enter sets a point. A pivot has one point, a box two corners,
 * a path any number, until Enter is pressed twice at one place.
 *
 * @param begin where the cross comes up
 */
export function useStageCross(
  tool: Ref<Tool>,
  canvas: Ref<Size>,
  begin: () => Point,
  done: { path: (points: Point[]) => void; box: (box: Box) => void; pivot: (at: Point) => void },
) {
  const cross = shallowRef<Point | null>(null)
  const points = shallowRef<Point[]>([])
  const STEPS: Record<string, Point> = {
    ArrowLeft: { x: -1, y: 0 },
    ArrowRight: { x: 1, y: 0 },
    ArrowUp: { x: 0, y: -1 },
    ArrowDown: { x: 0, y: 1 },
  }

  watch(tool, () => {
    cross.value = null
    points.value = []
  })

  /** @return what a key does while a tool is armed */
  function command(event: KeyboardEvent): (() => void) | undefined {
    const step = STEPS[event.key]
    if (tool.value === 'pose') {
      return undefined
    }
    return step ? () => move(step, event.shiftKey ? 10 : 1) : event.key === 'Enter' ? set : undefined
  }

  function move(step: Point, times: number): void {
    const { width, height } = canvas.value
    const from = cross.value ?? { x: Math.round(begin().x), y: Math.round(begin().y) }
    cross.value = {
      x: within({ min: 0, max: width }, from.x + step.x * times),
      y: within({ min: 0, max: height }, from.y + step.y * times),
    }
  }

  function set(): void {
    const at = cross.value
    if (!at) {
      move({ x: 0, y: 0 }, 0)
      return
    }
    const last = points.value.at(-1)
    const all = [...points.value, at]
    if (tool.value === 'pivot') {
      done.pivot(at)
    } else if (tool.value === 'box' && last) {
      done.box(boxAround(all))
    } else if (tool.value === 'path' && last?.x === at.x && last.y === at.y && points.value.length > 1) {
      done.path(points.value)
    } else {
      points.value = all
    }
  }

  return { cross, points, command }
}
