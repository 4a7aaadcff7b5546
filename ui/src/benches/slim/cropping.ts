import { computed, reactive, ref } from 'vue'
import type { Crop, Size } from '@/api/types'

export const RATIOS = [
  { title: 'free', ratio: 0 },
  { title: '1:1', ratio: 1 },
  { title: '4:3', ratio: 4 / 3 },
  { title: '3:2', ratio: 3 / 2 },
  { title: '16:9', ratio: 16 / 9 },
  { title: '4:5', ratio: 4 / 5 },
  { title: '9:16', ratio: 9 / 16 },
]

/** Which edges of the box a handle moves: -1 the first, 1 the second, 0 neither. */
export interface Handle {
  name: string
  x: -1 | 0 | 1
  y: -1 | 0 | 1
}

export const HANDLES: Handle[] = [
  { name: 'top left', x: -1, y: -1 },
  { name: 'top', x: 0, y: -1 },
  { name: 'top right', x: 1, y: -1 },
  { name: 'right', x: 1, y: 0 },
  { name: 'bottom right', x: 1, y: 1 },
  { name: 'bottom', x: 0, y: 1 },
  { name: 'bottom left', x: -1, y: 1 },
  { name: 'left', x: -1, y: 0 },
]

/** A box on a canvas that is being settled, in whole pixels. It never leaves the canvas. */
export function useCropBox(canvas: () => Size, start: () => Crop) {
  const box = reactive({ x: 0, y: 0, width: 1, height: 1 })
  const ratio = ref(0)

  const crop = computed<Crop>(() => {
    const { width, height } = canvas()
    const isWhole = box.x === 0 && box.y === 0 && box.width === width && box.height === height
    return isWhole ? { x: 0, y: 0, width: 0, height: 0 } : { ...box }
  })

  function take(from: Crop): void {
    const { width, height } = canvas()
    const isWhole = from.width === 0
    Object.assign(box, isWhole ? { x: 0, y: 0, width, height } : from)
  }

  const between = (value: number, least: number, most: number): number =>
    Math.max(least, Math.min(most, Math.round(value)))

  function moveTo(x: number, y: number): void {
    const { width, height } = canvas()
    box.x = between(x, 0, width - box.width)
    box.y = between(y, 0, height - box.height)
  }

  /** Sizes it from the corner, edge or middle that stays where it is: -1 the first, 1 the second. */
  function sizeTo(
    width: number,
    height: number,
    stays: { x: number; y: number },
    leads: 'width' | 'height' = 'width',
  ): void {
    const all = canvas()
    const right = box.x + box.width
    const bottom = box.y + box.height
    const roomX = stays.x > 0 ? right : stays.x < 0 ? all.width - box.x : all.width
    const roomY = stays.y > 0 ? bottom : stays.y < 0 ? all.height - box.y : all.height
    let wide = between(width, 1, roomX)
    let high = between(height, 1, roomY)
    if (ratio.value > 0) {
      if (leads === 'width') {
        high = between(wide / ratio.value, 1, roomY)
      }
      wide = between(high * ratio.value, 1, roomX)
      high = between(wide / ratio.value, 1, roomY)
    }
    const middleX = box.x + (box.width - wide) / 2
    const middleY = box.y + (box.height - high) / 2
    box.x = between(stays.x > 0 ? right - wide : stays.x < 0 ? box.x : middleX, 0, all.width - wide)
    box.y = between(stays.y > 0 ? bottom - high : stays.y < 0 ? box.y : middleY, 0, all.height - high)
    box.width = wide
    box.height = high
  }

  /** The largest box of a ratio about the middle of this one. */
  function takeRatio(wanted: number): void {
    ratio.value = wanted
    if (wanted > 0) {
      const { width, height } = canvas()
      const wide = Math.min(width, height * wanted)
      sizeTo(wide, wide / wanted, { x: 0, y: 0 })
    }
  }

  take(start())
  return { box, ratio, crop, take, moveTo, sizeTo, takeRatio }
}
