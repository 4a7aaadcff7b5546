import { onScopeDispose, shallowRef } from 'vue'
import type { Ref } from 'vue'

const FAR_ENOUGH = 4
/** How long a finger rests before it drags, in ms, and how little it may move meanwhile, in CSS pixels. */
const REST = 350
const REST_REACH = 8
const SCROLL_ZONE = 48
const SCROLL_STEP = 14

export interface Place {
  x: number
  y: number
}

/** Where a drag began and where it is, in the places of the surface, and the event that says so. */
export interface DragState {
  from: Place
  to: Place
  event: PointerEvent
}

export interface DragHandlers {
  /** How far the pointer must go before it drags, in CSS pixels; with 0, pressing is dragging. */
  far?: number
  /** A finger drags once it has rested: before that it scrolls. */
  fingerRests?: boolean
  /** The pointer was let go where it was pressed. */
  click?: () => void
  move?: (state: DragState) => void
  drop?: (state: DragState) => void
  /** Given up by Escape, or by the browser. */
  cancel?: () => void
}

/**
 * One drag at a time, of whatever is pressed. Escape gives it up.
 *
 * @param placeOf where an event is on the surface, in its own units; the window's, unless given
 * @param scroller a surface that scrolls on while the pointer is near its upper or lower edge
 */
export function usePointerDrag(placeOf = inWindow, scroller?: Ref<HTMLElement | null>) {
  const state = shallowRef<DragState | null>(null)
  let handlers: DragHandlers | null = null
  let from: Place = { x: 0, y: 0 }
  let start: Place = from
  let last: PointerEvent | null = null
  let scrolling = 0
  let resting = 0

  function press(event: PointerEvent, wanted: DragHandlers): void {
    stop()
    handlers = wanted
    start = inWindow(event)
    from = placeOf(event)
    window.addEventListener('pointermove', onMove)
    window.addEventListener('pointerup', onUp)
    window.addEventListener('pointercancel', giveUp)
    window.addEventListener('keydown', onKey, true)
    if (wanted.fingerRests && event.pointerType === 'touch') {
      window.addEventListener('touchmove', keepFromScrolling, { passive: false })
      window.addEventListener('contextmenu', keepFromOpening, true)
      resting = window.setTimeout(() => rested(event), REST)
    } else if (wanted.far === 0) {
      update(event)
    }
  }

  function rested(event: PointerEvent): void {
    resting = 0
    update(event)
  }

  function keepFromScrolling(event: TouchEvent): void {
    if (state.value) {
      event.preventDefault()
    }
  }

  /** A long press opens a menu where it does not drag. */
  function keepFromOpening(event: Event): void {
    event.preventDefault()
    event.stopPropagation()
  }

  function onMove(event: PointerEvent): void {
    last = event
    const moved = Math.hypot(event.clientX - start.x, event.clientY - start.y)
    if (resting !== 0) {
      // The finger scrolls.
      if (moved > REST_REACH) stop()
      return
    }
    const far = moved >= (handlers?.far ?? FAR_ENOUGH)
    if (state.value || far) {
      update(event)
      scrolling ||= scroller ? requestAnimationFrame(scrollNearEdges) : 0
    }
  }

  function update(event: PointerEvent): void {
    state.value = { from, to: placeOf(event), event }
    handlers?.move?.(state.value)
  }

  function onUp(): void {
    const done = state.value
    const told = handlers
    stop()
    if (done) {
      told?.drop?.(done)
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
    const element = scroller?.value
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
    window.clearTimeout(resting)
    scrolling = resting = 0
    handlers = last = state.value = null
    window.removeEventListener('pointermove', onMove)
    window.removeEventListener('pointerup', onUp)
    window.removeEventListener('pointercancel', giveUp)
    window.removeEventListener('keydown', onKey, true)
    window.removeEventListener('touchmove', keepFromScrolling)
    window.removeEventListener('contextmenu', keepFromOpening, true)
  }

  onScopeDispose(stop)
  return { state, press, giveUp }
}

const inWindow = (event: MouseEvent): Place => ({ x: event.clientX, y: event.clientY })
