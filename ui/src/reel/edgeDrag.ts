import { useEventListener } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { Ref } from 'vue'
import { usePlayhead } from './playhead'
import { useReel } from './store'

const REACH = 5
const MILLIS_STEP = 10
const SHORTEST_BY_HAND = 20
const LONGEST = 600_000

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
  const dragged = shallowRef<DraggedEdge | null>(null)
  /** Whether the pointer is where a drag would begin. */
  const near = ref(false)
  const added = computed(() => (dragged.value ? dragged.value.millis - dragged.value.from : 0))
  let startX = 0

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

  function press(event: PointerEvent): boolean {
    const index = edgeAt(event)
    const frame = store.frames[index]
    if (!frame || event.shiftKey) {
      return false
    }
    startX = event.clientX
    dragged.value = { id: frame.id, index, from: frame.shownMillis, millis: frame.shownMillis }
    return true
  }

  function move(event: PointerEvent): boolean {
    const now = dragged.value
    if (!now) {
      near.value = event.buttons === 0 && edgeAt(event) >= 0
      return false
    }
    const wanted = now.from + (event.clientX - startX) / scale.value
    const millis = Math.round(wanted / MILLIS_STEP) * MILLIS_STEP
    dragged.value = { ...now, millis: Math.min(LONGEST, Math.max(SHORTEST_BY_HAND, millis)) }
    return true
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

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key === 'Escape' && dragged.value) {
      event.preventDefault()
      giveUp()
    }
  }, { capture: true })

  return { dragged, near, added, press, move, release, giveUp }
}
