import { onScopeDispose, shallowRef } from 'vue'
import type { Ref } from 'vue'

const FAR_ENOUGH = 6
const SCROLL_ZONE = 48
const SCROLL_STEP = 14

export interface Drag {
  /** How many frames come before where the dragged ones would go. */
  gap: number
  mark: Record<string, string>
  ghost: Record<string, string>
}

/** Drags cards about their grid: a mark shows the gap they would go into, the sheet scrolls near its edges, Escape stops. */
export function useCardDrag(grid: Ref<HTMLElement | null>, drop: (gap: number) => void) {
  const drag = shallowRef<Drag | null>(null)
  let start: { x: number; y: number; onClick: () => void } | null = null
  let last: PointerEvent | null = null
  let scrolling = 0

  /** @param onClick runs when the pointer is let go where it was pressed */
  function press(event: PointerEvent, onClick: () => void): void {
    start = { x: event.clientX, y: event.clientY, onClick }
    window.addEventListener('pointermove', onMove)
    window.addEventListener('pointerup', onUp)
    window.addEventListener('pointercancel', stop)
    window.addEventListener('keydown', onKey, true)
  }

  function onMove(event: PointerEvent): void {
    if (!start || !grid.value) {
      return
    }
    last = event
    const far = Math.hypot(event.clientX - start.x, event.clientY - start.y) >= FAR_ENOUGH
    if (drag.value || far) {
      drag.value = dragAt(grid.value, event)
      if (!scrolling) {
        scrolling = requestAnimationFrame(scrollNearEdges)
      }
    }
  }

  function onUp(): void {
    const dropped = drag.value
    const pressed = start
    stop()
    if (dropped) {
      drop(dropped.gap)
    } else {
      pressed?.onClick()
    }
  }

  function onKey(event: KeyboardEvent): void {
    if (event.key === 'Escape' && drag.value) {
      event.preventDefault()
      event.stopPropagation()
      stop()
    }
  }

  function scrollNearEdges(): void {
    scrolling = 0
    const scroller = grid.value?.parentElement
    if (!drag.value || !last || !scroller) {
      return
    }
    const box = scroller.getBoundingClientRect()
    const up = last.clientY < box.top + SCROLL_ZONE
    const down = last.clientY > box.bottom - SCROLL_ZONE
    if (up || down) {
      scroller.scrollTop += up ? -SCROLL_STEP : SCROLL_STEP
      drag.value = dragAt(grid.value as HTMLElement, last)
    }
    scrolling = requestAnimationFrame(scrollNearEdges)
  }

  function stop(): void {
    cancelAnimationFrame(scrolling)
    scrolling = 0
    start = last = drag.value = null
    window.removeEventListener('pointermove', onMove)
    window.removeEventListener('pointerup', onUp)
    window.removeEventListener('pointercancel', stop)
    window.removeEventListener('keydown', onKey, true)
  }

  onScopeDispose(stop)
  return { drag, press }
}

function dragAt(grid: HTMLElement, event: PointerEvent): Drag {
  const cards = [...grid.querySelectorAll<HTMLElement>('[data-frame]')]
  const boxes = cards.map((card) => card.getBoundingClientRect())
  const gap = gapAt(boxes, event.clientX, event.clientY)
  const origin = grid.getBoundingClientRect()
  const onRight = boxes[gap] === undefined || (gap > 0 && wantsRowEnd(boxes, gap, event.clientY))
  const box = (onRight ? boxes[gap - 1] : boxes[gap]) ?? origin
  const x = onRight ? box.right + 3 : box.left - 7
  return {
    gap,
    mark: {
      left: `${x - origin.left}px`,
      top: `${box.top - origin.top}px`,
      height: `${box.height}px`,
    },
    ghost: { left: `${event.clientX + 14}px`, top: `${event.clientY + 10}px` },
  }
}

function gapAt(boxes: DOMRect[], x: number, y: number): number {
  const gap = boxes.findIndex((box) => y < box.top || (y <= box.bottom + 5 && x < box.left + box.width / 2))
  return gap < 0 ? boxes.length : gap
}

/** Past the last card of a row the mark stands at that row's end, not at the next one's beginning. */
function wantsRowEnd(boxes: DOMRect[], gap: number, y: number): boolean {
  const before = boxes[gap - 1] as DOMRect
  const after = boxes[gap] as DOMRect
  return after.top > before.top && y <= before.bottom + 5
}
