import { computed, ref, shallowRef } from 'vue'
import type { Ref } from 'vue'
import { limits } from '@/api/limits'
import { usePointerDrag } from '@/parts/pointerDrag'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'

const REACH = 5
const MILLIS_STEP = 10
const SHORTEST_BY_HAND = 20

export interface DraggedEdge {
  id: number
  index: number
  from: number
  millis: number
}

/** Drags the right edge of a frame in the rhythm bar: a live length while it lasts, one edit at its end, none by Escape. */
export function useEdgeDrag(track: Ref<HTMLElement | null>, scale: Ref<number>) {
  const store = useReel()
  const playhead = usePlayhead()
  const drag = usePointerDrag()
  const dragged = shallowRef<DraggedEdge | null>(null)
  /** Whether the pointer is where a drag would begin. */
  const near = ref(false)
  const added = computed(() => (dragged.value ? dragged.value.millis - dragged.value.from : 0))

  function edgeAt(event: PointerEvent): number {
    const at = event.clientX - (track.value as HTMLElement).getBoundingClientRect().left
    let best = -1
    let nearest = REACH + 1
    store.frames.forEach((frame, index) => {
      const width = frame.shownMillis * scale.value
      const distance = Math.abs(((playhead.starts[index] ?? 0) + frame.shownMillis) * scale.value - at)
      // Very narrow frames would leave no room to click on; zooming in makes them wide.
      if (width >= 2 * REACH && distance < nearest) {
        nearest = distance
        best = index
      }
    })
    return best
  }

  /** @return whether an edge is dragged from here */
  function press(event: PointerEvent): boolean {
    const index = edgeAt(event)
    const frame = store.frames[index]
    if (!frame || event.shiftKey) {
      return false
    }
    const edge = { id: frame.id, index, from: frame.shownMillis, millis: frame.shownMillis }
    drag.press(event, {
      far: 0,
      move: ({ from, to }) => {
        const wanted = edge.from + (to.x - from.x) / scale.value
        const millis = Math.round(wanted / MILLIS_STEP) * MILLIS_STEP
        const moved = from.x !== to.x
        dragged.value = {
          ...edge,
          millis: moved ? Math.min(limits.SetDelay.delayMillis.max, Math.max(SHORTEST_BY_HAND, millis)) : edge.from,
        }
      },
      drop: () => void release(),
      cancel: giveUp,
    })
    return true
  }

  /** Tells whether the pointer is near an edge. */
  function hover(event: PointerEvent): void {
    near.value = event.buttons === 0 && edgeAt(event) >= 0
  }

  async function release(): Promise<void> {
    const now = dragged.value
    if (now && now.millis !== now.from) {
      await store.dispatch({ type: 'setDelay', frames: [now.id], delayMillis: now.millis })
    }
    giveUp()
  }

  function giveUp(): void {
    dragged.value = null
  }

  return { dragged, near, added, press, hover }
}
