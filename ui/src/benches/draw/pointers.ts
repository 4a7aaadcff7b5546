import type { Ref } from 'vue'
import { usePlayhead } from '@/reel/playhead'
import type { Hand } from './hand'
import type { HeldSpace } from './heldSpace'
import type { KeyPen } from './keyPen'
import type { PageView, Place, Touch } from './pageView'

const WHEEL_STEP = 1.1

/** What pointers do on the easel: one draws, or moves the page while space is held; two fingers move and zoom it. */
export function usePointers(
  easel: Ref<HTMLElement | null>,
  view: PageView,
  hand: Hand,
  keyPen: KeyPen,
  space: HeldSpace,
) {
  const playhead = usePlayhead()
  const down = new Map<number, PointerEvent>()
  let panning: PointerEvent | null = null

  function fromMiddle(event: { clientX: number; clientY: number }): Place {
    const box = easel.value!.getBoundingClientRect()
    return { x: event.clientX - box.left - box.width / 2, y: event.clientY - box.top - box.height / 2 }
  }

  function touchOf(event: PointerEvent): Touch {
    return {
      ...view.onCanvas(fromMiddle(event)),
      pressure: event.pointerType === 'mouse' || event.pressure === 0 ? 0.5 : event.pressure,
      tilt: Math.min(1, Math.hypot(event.tiltX, event.tiltY) / 90),
      shift: event.shiftKey,
      alt: event.altKey,
    }
  }

  function onDown(event: PointerEvent): void {
    if (playhead.playing) {
      // The press stops the loop; what runs cannot be drawn on.
      playhead.playing = false
      return
    }
    down.set(event.pointerId, event)
    if (event.pointerType === 'touch' && down.size === 2) {
      hand.giveUp()
      return
    }
    if (event.button === 1 || space.isDown.value) {
      panning = event
      space.use()
    } else if (event.button === 0 && down.size === 1) {
      keyPen.giveWay()
      hand.down(touchOf(event))
    } else {
      return
    }
    event.preventDefault()
    easel.value?.focus({ preventScroll: true })
    easel.value?.setPointerCapture(event.pointerId)
  }

  function onMove(event: PointerEvent): void {
    const before = down.get(event.pointerId)
    if (before && event.pointerType === 'touch' && down.size === 2) {
      pinch(before, event)
    } else if (panning?.pointerId === event.pointerId) {
      view.moveBy(event.clientX - panning.clientX, event.clientY - panning.clientY)
      panning = event
    } else if (before) {
      const all = event.getCoalescedEvents?.() ?? []
      hand.move((all.length > 0 ? all : [event]).map(touchOf))
    }
    if (before) {
      down.set(event.pointerId, event)
    }
  }

  function onUp(event: PointerEvent): void {
    down.delete(event.pointerId)
    if (panning?.pointerId === event.pointerId) {
      panning = null
    } else {
      hand.up(touchOf(event))
    }
  }

  function onCancel(event: PointerEvent): void {
    down.delete(event.pointerId)
    panning = null
    hand.giveUp()
  }

  function pinch(before: PointerEvent, now: PointerEvent): void {
    const other = [...down.values()].find((each) => each.pointerId !== now.pointerId)
    if (other) {
      const was = Math.hypot(before.clientX - other.clientX, before.clientY - other.clientY)
      const is = Math.hypot(now.clientX - other.clientX, now.clientY - other.clientY)
      view.zoom(
        is / Math.max(1, was),
        fromMiddle({ clientX: (now.clientX + other.clientX) / 2, clientY: (now.clientY + other.clientY) / 2 }),
      )
      view.moveBy((now.clientX - before.clientX) / 2, (now.clientY - before.clientY) / 2)
    }
  }

  function onWheel(event: WheelEvent): void {
    if (event.altKey) {
      view.turnBy(Math.sign(event.deltaY))
    } else {
      view.zoom(WHEEL_STEP ** -Math.sign(event.deltaY), fromMiddle(event))
    }
  }

  return { onDown, onMove, onUp, onCancel, onWheel }
}
