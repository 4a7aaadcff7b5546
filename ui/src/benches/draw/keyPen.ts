import { ref } from 'vue'
import { usePlayhead } from '@/reel/playhead'
import { useDrawing } from './drawing'
import type { Hand } from './hand'
import type { Place, Touch } from './pageView'
import { useTaken } from './taken'

/** What is done by one press, and is not pulled. */
const AT_ONE_PLACE = ['fill', 'pick', 'words']

/** Drawing without a pointer: arrows move the pen, Enter puts it down and lifts it. */
export function useKeyPen(hand: Hand) {
  const playhead = usePlayhead()
  const drawing = useDrawing()
  const taken = useTaken()
  /** Where the pen is; null while the pointer draws. */
  const cursor = ref<Place | null>(null)
  const isDown = ref(false)

  const middle = (): Place => ({
    x: Math.floor(drawing.canvas.width / 2) + 0.5,
    y: Math.floor(drawing.canvas.height / 2) + 0.5,
  })
  const touch = (at: Place): Touch => ({ ...at, pressure: 0.5, tilt: 0, shift: false, alt: false })

  function onKey(event: KeyboardEvent): void {
    const by = event.shiftKey ? 10 : 1
    const step = {
      ArrowLeft: { x: -by, y: 0 },
      ArrowRight: { x: by, y: 0 },
      ArrowUp: { x: 0, y: -by },
      ArrowDown: { x: 0, y: by },
    }[event.key]
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return
    }
    if (step && drawing.hand === 'take' && taken.isHere && !isDown.value) {
      taken.nudge(step.x, step.y)
    } else if (step) {
      const from = cursor.value ?? middle()
      cursor.value = { x: from.x + step.x, y: from.y + step.y }
      hand.move([touch(cursor.value)])
    } else if (event.key === 'Enter' && playhead.playing) {
      playhead.playing = false
    } else if (event.key === 'Enter') {
      cursor.value ??= middle()
      press(touch(cursor.value))
    } else if (event.key === 'Escape') {
      isDown.value = false
      hand.giveUp()
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      taken.remove()
    } else {
      return
    }
    event.preventDefault()
    event.stopPropagation()
  }

  function press(at: Touch): void {
    const lifts = isDown.value || AT_ONE_PLACE.includes(drawing.hand)
    if (!isDown.value) {
      hand.down(at)
    }
    if (lifts) {
      hand.up(at)
    }
    isDown.value = !lifts
  }

  /** A stroke begun by keys is given up where the pointer begins another. */
  function giveWay(): void {
    if (isDown.value) {
      isDown.value = false
      hand.giveUp()
    }
    cursor.value = null
  }

  return { cursor, isDown, onKey, giveWay }
}

export type KeyPen = ReturnType<typeof useKeyPen>
