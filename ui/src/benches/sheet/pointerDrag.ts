import { onScopeDispose, shallowRef } from 'vue'
import type { Ref } from 'vue'

const FAR_ENOUGH = 6
const SCROLL_ZONE = 48
const SCROLL_STEP = 14

/** Where a drag began and where it is, on the scrolled surface and in the window. */
export interface DragState {
  from: { x: number; y: number }
  to: { x: number; y: number }
  clientX: number
  clientY: number
}

export interface DragHandlers {
  /** The pointer was let go where it was pressed. */
  click?: () => void
  move?: (state: DragState) => void
  drop: (state: DragState) => void
  /** Given up by Escape. */
  cancel?: () => void
}

/** One drag at a time over a scrolling surface, which scrolls on when the pointer is near its edges. Escape gives it up. */
export function usePointerDrag(scroller: Ref<HTMLElement | null>) {
  const state = shallowRef<DragState | null>(null)
  let handlers: DragHandlers | null = null
  let from = { x: 0, y: 0 }
  let start = { x: 0, y: 0 }
  let last: PointerEvent | null = null
  let scrolling = 0

  function onSurface(event: MouseEvent): { x: number; y: number } {
    const element = scroller.value as HTMLElement
    const box = element.getBoundingClientRect()
    const style = getComputedStyle(element)
    return {
      x: event.clientX - box.left - parseFloat(style.paddingLeft),
      y: event.clientY - box.top - parseFloat(style.paddingTop) + element.scrollTop,
    }
  }

  function press(event: PointerEvent, wanted: DragHandlers): void {
    handlers = wanted
    start = { x: event.clientX, y: event.clientY }
    from = onSurface(event)
    window.addEventListener('pointermove', onMove)
    window.addEventListener('pointerup', onUp)
    window.addEventListener('pointercancel', giveUp)
    window.addEventListener('keydown', onKey, true)
  }

  function onMove(event: PointerEvent): void {
    last = event
    const far = Math.hypot(event.clientX - start.x, event.clientY - start.y) >= FAR_ENOUGH
    if (scroller.value && (state.value || far)) {
      update(event)
      scrolling ||= requestAnimationFrame(scrollNearEdges)
    }
  }

  function update(event: PointerEvent): void {
    state.value = { from, to: onSurface(event), clientX: event.clientX, clientY: event.clientY }
    handlers?.move?.(state.value)
  }

  function onUp(): void {
    const done = state.value
    const told = handlers
    stop()
    if (done) {
      told?.drop(done)
    } else {
      told?.click?.()
    }
  }

  function onKey(event: KeyboardEvent): void {
    if (event.key === 'Escape' && state.value) {
      event.preventDefault()
      event.stopPropagation()
      giveUp()
    }
  }

  function giveUp(): void {
    const told = handlers
    stop()
    told?.cancel?.()
  }

  function scrollNearEdges(): void {
    scrolling = 0
    const element = scroller.value
    if (!state.value || !last || !element) {
      return
    }
    const box = element.getBoundingClientRect()
    const up = last.clientY < box.top + SCROLL_ZONE
    const down = last.clientY > box.bottom - SCROLL_ZONE
    if (up || down) {
      element.scrollTop += up ? -SCROLL_STEP : SCROLL_STEP
      update(last)
    }
    scrolling = requestAnimationFrame(scrollNearEdges)
  }

  function stop(): void {
    cancelAnimationFrame(scrolling)
    scrolling = 0
    handlers = last = state.value = null
    window.removeEventListener('pointermove', onMove)
    window.removeEventListener('pointerup', onUp)
    window.removeEventListener('pointercancel', giveUp)
    window.removeEventListener('keydown', onKey, true)
  }

  onScopeDispose(stop)
  return { state, press, onSurface }
}
