import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Pen } from '@/api/types'

/** A pen in the tray: it remembers everything, so one picks up a pen instead of setting a tool. */
export interface TrayPen {
  name: string
  color: string
  /** In pixels of the canvas. */
  width: number
  opacity: number
  softness: number
  /** How strongly it steadies the hand, 0 to 100. */
  steady: number
  /** How much of its width follows the pressure, 0 to 100. */
  pressed: number
  /** Whole pixels, without shades at the edge. */
  hard: boolean
}

const FIRST: TrayPen[] = [
  { name: 'Fine ink', color: '1e2a32', width: 3, opacity: 100, softness: 0, steady: 20, pressed: 40, hard: false },
  { name: 'Brush', color: '1e2a32', width: 11, opacity: 100, softness: 10, steady: 40, pressed: 80, hard: false },
  { name: 'Red chalk', color: 'b23e28', width: 8, opacity: 85, softness: 45, steady: 20, pressed: 60, hard: false },
  { name: 'Sea wash', color: '2b6a80', width: 40, opacity: 35, softness: 80, steady: 30, pressed: 30, hard: false },
  { name: 'One pixel', color: '1e2a32', width: 1, opacity: 100, softness: 0, steady: 0, pressed: 0, hard: true },
]
const MOST_PENS = 9

export const usePens = defineStore('pens', () => {
  const pens = useLocalStorage<TrayPen[]>('dobbin.pens', FIRST)
  const taken = useLocalStorage('dobbin.pen', 0)
  const pen = computed(() => pens.value[taken.value] ?? (pens.value[0] as TrayPen))
  const hasRoom = computed(() => pens.value.length < MOST_PENS)

  function take(place: number): void {
    if (pens.value[place]) {
      taken.value = place
    }
  }

  function change(part: Partial<TrayPen>): void {
    const place = pens.value.indexOf(pen.value)
    pens.value = pens.value.map((each, i) => (i === place ? { ...each, ...part } : each))
  }

  function add(): void {
    if (hasRoom.value) {
      pens.value = [...pens.value, { ...pen.value, name: `Pen ${pens.value.length + 1}` }]
      taken.value = pens.value.length - 1
    }
  }

  function drop(): void {
    if (pens.value.length > 1) {
      const place = pens.value.indexOf(pen.value)
      pens.value = pens.value.filter((_, i) => i !== place)
      taken.value = Math.max(0, place - 1)
    }
  }

  return { pens, taken, pen, hasRoom, take, change, add, drop }
})

/** @return as the server takes it */
export const asPen = (pen: TrayPen, erases: boolean): Pen => ({
  color: pen.color,
  opacity: pen.opacity,
  softness: pen.softness,
  hard: pen.hard,
  erases,
})
