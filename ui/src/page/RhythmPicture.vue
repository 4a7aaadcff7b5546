<script setup lang="ts">
import { computed, ref, watchPostEffect } from 'vue'
import { useTheme } from 'vuetify'
import type { DraggedEdge } from './edgeDrag'
import { fillsFor } from './rhythm'
import { barsShown } from '@/reel/bars'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'

/**
 * The segments of the rhythm bar, painted: hundreds of boxes in one go. Only what is in view is, at the place the track is
 * scrolled to.
 */
const props = defineProps<{ scale: number; scrolled: number; width: number; dragged: DraggedEdge | null }>()

const HEIGHT = 46
const RADIUS = 3
/** Narrower segments have neither round corners nor a frame. */
const WIDE = 5
const store = useReel()
const playhead = usePlayhead()
const selection = useSelection()
const theme = useTheme()
const surface = ref<HTMLCanvasElement | null>(null)
const fills = computed(
  () =>
    barsShown.value ??
    fillsFor(store.rhythm?.changes ?? [], store.rhythm?.usual ?? 0).map((fill) => [0.04 + 0.92 * fill]),
)

/** A frame's place on the track, with the edge that is being dragged where it is. */
function spanOf(index: number): { left: number; right: number } {
  const { dragged, scale } = props
  const shown = store.frames[index]?.shownMillis ?? 0
  const added = dragged ? dragged.millis - dragged.from : 0
  const start = (playhead.starts[index] ?? 0) + (dragged && index > dragged.index ? added : 0)
  const end = start + shown + (dragged?.index === index ? added : 0)
  return { left: start * scale - props.scrolled, right: end * scale - props.scrolled }
}

interface Paints {
  ground: string
  beat: string
  chosenGround: string
  chosenBeat: string
  rein: string
  ink: string
  /** For the second part of a bar, and those above. */
  parts: string[]
}

function paintsOf(element: HTMLElement): Paints {
  const style = getComputedStyle(element)
  const named = (name: string): string => style.getPropertyValue(name)
  return {
    ground: named('--sunk'),
    beat: named('--beat'),
    chosenGround: named('--rein-soft'),
    chosenBeat: named('--rein-beat'),
    rein: named('--rein'),
    ink: named('--ink'),
    parts: [named('--run-1'), named('--ink')],
  }
}

function paint(pen: CanvasRenderingContext2D, paints: Paints, index: number, left: number, wide: number): void {
  const chosen = selection.set.has(store.ids[index] as number)
  const width = Math.max(0.5, wide - (wide > 3 ? 1 : 0.3))
  const radius = wide > WIDE ? RADIUS : 0
  pen.fillStyle = chosen ? paints.chosenGround : paints.ground
  pen.beginPath()
  pen.roundRect(left, 0, width, HEIGHT, radius)
  pen.fill()
  let bottom = HEIGHT
  for (const [part, share] of (fills.value[index] ?? []).entries()) {
    const fill = HEIGHT * share
    pen.fillStyle = part > 0 ? (paints.parts[part - 1] ?? paints.ink) : chosen ? paints.chosenBeat : paints.beat
    pen.beginPath()
    pen.roundRect(left, bottom - fill, width, fill, bottom === HEIGHT ? [0, 0, radius, radius] : 0)
    pen.fill()
    bottom -= fill
  }
  const dragged = props.dragged?.index === index
  if ((chosen && wide > WIDE) || dragged) {
    pen.beginPath()
    pen.roundRect(left + 1, 1, Math.max(0, width - 2), HEIGHT - 2, radius)
    pen.strokeStyle = dragged ? paints.ink : paints.rein
    pen.stroke()
  }
}

watchPostEffect(() => {
  const canvas = surface.value
  const pen = canvas?.getContext('2d')
  if (!canvas || !pen || props.width === 0) {
    return
  }
  const ratio = devicePixelRatio
  const paints = paintsOf(canvas)
  canvas.width = Math.round(props.width * ratio)
  canvas.height = Math.round(HEIGHT * ratio)
  pen.scale(ratio, ratio)
  pen.lineWidth = 2
  // Named so that a change of colors paints anew.
  void theme.global.name.value
  store.frames.forEach((frame, index) => {
    const { left, right } = spanOf(index)
    if (!frame.leftOut && right > 0 && left < props.width) {
      paint(pen, paints, index, left, right - left)
    }
  })
})
</script>

<template>
  <canvas ref="surface" class="picture" aria-hidden="true" :style="{ width: `${width}px`, left: `${scrolled}px` }" />
</template>

<style scoped>
.picture {
  position: absolute;
  top: 0;
  display: block;
  height: 46px;
}
</style>
