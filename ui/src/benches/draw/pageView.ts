import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { Size } from '@/api/types'

const STEP = 1.25
const LEAST = 0.1
const MOST = 64
const TURN = 15
const MARGIN = 24

export interface Place {
  x: number
  y: number
}

/** Where the pointer is and how it is held. */
export interface Touch extends Place {
  /** 0 to 1; 0.5 for what cannot tell. */
  pressure: number
  /** 0 upright, 1 flat. */
  tilt: number
  shift: boolean
  alt: boolean
}

/** How the page lies on the easel: how large, where, and how it is turned. */
export function usePageView(canvas: Ref<Size>, room: Ref<Size>, few: Ref<boolean>) {
  /** CSS pixels to a pixel of the canvas, or null to fit the page in. */
  const chosen = ref<number | null>(null)
  const offset = ref<Place>({ x: 0, y: 0 })
  const turn = ref(0)

  const fitting = computed(() => {
    const { width, height } = canvas.value
    const scale = Math.min((room.value.width - MARGIN) / width, (room.value.height - MARGIN) / height)
    // Few pixels are shown by whole factors, so that all are of one size.
    return Math.max(LEAST, few.value && scale > 1 ? Math.floor(scale) : scale)
  })
  const scale = computed(() => chosen.value ?? fitting.value)
  const fits = computed(() => chosen.value === null && offset.value.x === 0 && offset.value.y === 0)

  /** @param at a place on the easel from its middle, that stays where it is */
  function zoom(by: number, at: Place = { x: 0, y: 0 }): void {
    const before = scale.value
    const wanted = before * by
    const next = few.value && wanted > 1 ? (by > 1 ? Math.ceil(wanted) : Math.floor(wanted)) : wanted
    chosen.value = Math.max(LEAST, Math.min(MOST, next))
    const grown = chosen.value / before
    offset.value = { x: at.x - (at.x - offset.value.x) * grown, y: at.y - (at.y - offset.value.y) * grown }
  }

  const zoomIn = (at?: Place): void => zoom(STEP, at)
  const zoomOut = (at?: Place): void => zoom(1 / STEP, at)

  function fit(): void {
    chosen.value = null
    offset.value = { x: 0, y: 0 }
    turn.value = 0
  }

  function actual(): void {
    chosen.value = 1 / devicePixelRatio
    offset.value = { x: 0, y: 0 }
  }

  function moveBy(x: number, y: number): void {
    offset.value = { x: offset.value.x + x, y: offset.value.y + y }
  }

  function turnBy(steps: number): void {
    turn.value = (turn.value + steps * TURN) % 360
  }

  /** @param at a place on the easel from its middle; @return where that is on the canvas */
  function onCanvas(at: Place): Place {
    const angle = (-turn.value * Math.PI) / 180
    const x = at.x - offset.value.x
    const y = at.y - offset.value.y
    return {
      x: (x * Math.cos(angle) - y * Math.sin(angle)) / scale.value + canvas.value.width / 2,
      y: (x * Math.sin(angle) + y * Math.cos(angle)) / scale.value + canvas.value.height / 2,
    }
  }

  return { scale, offset, turn, fits, zoom, zoomIn, zoomOut, fit, actual, moveBy, turnBy, onCanvas }
}

export type PageView = ReturnType<typeof usePageView>
