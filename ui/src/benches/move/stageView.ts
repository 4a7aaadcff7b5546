import { computed, nextTick, ref } from 'vue'
import type { Ref } from 'vue'
import { useElementSize, useEventListener } from '@vueuse/core'
import { usePointerDrag } from '@/parts/pointerDrag'
import { within } from '@/parts/numbers'
import type { Size } from '@/api/types'

/** Around the canvas, in CSS pixels: the knob of a cut-out at the edge fits in. */
const MARGIN = 36
const STEP = 1.25
const ZOOMS = { min: 0.2, max: 32 }

/**
 * How the canvas lies in its room: fitted, or nearer, or farther. When it is nearer than fitted, the room scrolls, with half
 * a room around the canvas, so that what was moved off it can be reached.
 */
export function useStageView(room: Ref<HTMLElement | null>, canvas: Ref<Size>) {
  const { width, height } = useElementSize(room, undefined, { box: 'border-box' })
  /** Of the size at which the canvas fits. */
  const zoom = ref(1)

  const fitted = computed(() => {
    const [wide, high] = [width.value - 2 * MARGIN, height.value - 2 * MARGIN]
    return Math.max(0.01, Math.min(wide / canvas.value.width, high / canvas.value.height))
  })
  /** CSS pixels to one of the canvas. */
  const scale = computed(() => fitted.value * zoom.value)
  const size = computed(() => ({ width: canvas.value.width * scale.value, height: canvas.value.height * scale.value }))
  const margin = computed(() => {
    const around = (room: number, own: number): number =>
      zoom.value > 1 ? Math.max(MARGIN, Math.floor(room / 2)) : Math.max(MARGIN, Math.floor((room - own) / 2))
    return { x: around(width.value, size.value.width), y: around(height.value, size.value.height) }
  })

  /** Zooms about a place of the room, which stays where it is. */
  async function zoomBy(factor: number, x = width.value / 2, y = height.value / 2): Promise<void> {
    const element = room.value
    if (!element) {
      return
    }
    const at = {
      x: (element.scrollLeft + x - margin.value.x) / scale.value,
      y: (element.scrollTop + y - margin.value.y) / scale.value,
    }
    zoom.value = within(ZOOMS, zoom.value * factor)
    await nextTick()
    element.scrollLeft = at.x * scale.value + margin.value.x - x
    element.scrollTop = at.y * scale.value + margin.value.y - y
  }

  function fit(): void {
    zoom.value = 1
  }

  useEventListener(
    room,
    'wheel',
    (event: WheelEvent) => {
      if (event.ctrlKey) {
        event.preventDefault()
        const box = (room.value as HTMLElement).getBoundingClientRect()
        void zoomBy(event.deltaY < 0 ? STEP : 1 / STEP, event.clientX - box.left, event.clientY - box.top)
      }
    },
    { passive: false },
  )

  const drag = usePointerDrag()

  /** Drags the paper under the pointer. */
  function pan(event: PointerEvent): void {
    const element = room.value as HTMLElement
    const from = { left: element.scrollLeft, top: element.scrollTop }
    event.preventDefault()
    drag.press(event, {
      far: 0,
      move: (now) => element.scrollTo(from.left - (now.to.x - now.from.x), from.top - (now.to.y - now.from.y)),
    })
  }

  return { zoom, scale, size, margin, fit, pan, zoomIn: () => zoomBy(STEP), zoomOut: () => zoomBy(1 / STEP) }
}
