import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Ink } from '@/api/types'
import { NO_INK } from '@/parts/ink'
import { say } from '@/ground/messages'
import { useDrawing } from './drawing'
import type { Place, Touch } from './pageView'
import { usePens } from './pens'

export interface Box {
  x: number
  y: number
  width: number
  height: number
}

const LEAST = 1
const GRIP = 10

type Grip = 'inside' | 'corner'

/** Ink that is taken by a box or an outline, to be moved, scaled, copied or removed. */
export const useTaken = defineStore('taken', () => {
  const drawing = useDrawing()
  const pens = usePens()
  /** Corners, x and y each; two of them are those of a box. */
  const outline = shallowRef<number[]>([])
  const box = shallowRef<Box | null>(null)
  const frame = ref(0)
  const copied = shallowRef<{ outline: number[]; box: Box; ink: Ink } | null>(null)
  let grip: Grip | null = null
  let start: Place = { x: 0, y: 0 }
  let before: Box | null = null
  let free = false
  let scale = 1

  const isHere = computed(() => box.value !== null && frame.value === drawing.frame?.id)
  const source = computed(() => boxOf(outline.value))

  /** @param pixels CSS pixels to a pixel of the canvas, for how near a corner counts */
  function setScale(pixels: number): void {
    scale = pixels
  }

  function down(touch: Touch): void {
    start = { x: touch.x, y: touch.y }
    const now = isHere.value ? box.value : null
    const near = GRIP / scale
    if (now && Math.abs(touch.x - now.x - now.width) < near && Math.abs(touch.y - now.y - now.height) < near) {
      grip = 'corner'
    } else if (
      now &&
      touch.x >= now.x &&
      touch.y >= now.y &&
      touch.x <= now.x + now.width &&
      touch.y <= now.y + now.height
    ) {
      grip = 'inside'
    } else {
      grip = null
      free = touch.alt
      frame.value = drawing.frame?.id ?? 0
      outline.value = free ? [touch.x, touch.y] : [touch.x, touch.y, touch.x, touch.y]
      box.value = null
    }
    before = box.value
  }

  function move(touch: Touch): void {
    if (grip && before) {
      const dx = Math.round(touch.x - start.x)
      const dy = Math.round(touch.y - start.y)
      box.value =
        grip === 'inside' ? { ...before, x: before.x + dx, y: before.y + dy } : scaled(before, dx, dy, touch.shift)
    } else if (free) {
      outline.value = [...outline.value, touch.x, touch.y]
      box.value = boxOf(outline.value)
    } else {
      outline.value = [start.x, start.y, touch.x, touch.y].map(Math.round)
      box.value = boxOf(outline.value)
    }
  }

  async function up(): Promise<void> {
    const to = box.value
    if (
      grip &&
      before &&
      to &&
      (to.x !== before.x || to.y !== before.y || to.width !== before.width || to.height !== before.height)
    ) {
      await shift(to)
    } else if (!grip && (!to || to.width < LEAST || to.height < LEAST)) {
      letGo()
    }
    grip = null
  }

  async function shift(to: Box): Promise<void> {
    const made = await drawing.make({
      type: 'shift',
      outline: outline.value,
      to,
      from: NO_INK,
      keeps: false,
      hard: pens.pen.hard,
    })
    if (made) {
      takeBox(to)
    }
  }

  function takeBox(to: Box): void {
    outline.value = [to.x, to.y, to.x + to.width, to.y + to.height]
    box.value = { ...to }
    frame.value = drawing.frame?.id ?? 0
  }

  function nudge(x: number, y: number): void {
    if (isHere.value && box.value) {
      void shift({ ...box.value, x: box.value.x + x, y: box.value.y + y })
    }
  }

  function all(): void {
    takeBox({ x: 0, y: 0, width: drawing.canvas.width, height: drawing.canvas.height })
  }

  function copy(): void {
    const ink = drawing.frame?.ink
    if (isHere.value && box.value && ink && ink.picture !== '') {
      copied.value = { outline: outline.value, box: box.value, ink }
      say('Copied. Ctrl+V pastes it at the same place, on any page of this reel.')
    }
  }

  async function paste(): Promise<void> {
    const held = copied.value
    if (held) {
      drawing.hand = 'take'
      const made = await drawing.make({
        type: 'shift',
        outline: held.outline,
        to: held.box,
        from: held.ink,
        keeps: true,
        hard: pens.pen.hard,
      })
      if (made) takeBox(held.box)
    }
  }

  function remove(): void {
    if (isHere.value) {
      void drawing.make({ type: 'wipe', outline: outline.value })
      letGo()
    }
  }

  function letGo(): void {
    outline.value = []
    box.value = null
    grip = null
  }

  return { outline, box, source, isHere, copied, setScale, down, move, up, nudge, all, copy, paste, remove, letGo }
})

function scaled(box: Box, dx: number, dy: number, even: boolean): Box {
  const width = Math.max(LEAST, box.width + dx)
  const height = Math.max(LEAST, even ? Math.round((width * box.height) / box.width) : box.height + dy)
  return { ...box, width, height }
}

function boxOf(corners: number[]): Box | null {
  const xs = corners.filter((_, i) => i % 2 === 0)
  const ys = corners.filter((_, i) => i % 2 === 1)
  if (xs.length < 2) {
    return null
  }
  const x = Math.floor(Math.min(...xs))
  const y = Math.floor(Math.min(...ys))
  return { x, y, width: Math.ceil(Math.max(...xs)) - x, height: Math.ceil(Math.max(...ys)) - y }
}
