<script setup lang="ts">
import { onBeforeUnmount, ref, useTemplateRef, watch } from 'vue'
import { usePointerDrag } from '@/parts/pointerDrag'
import { MICROS } from './clip'
import type { Clip } from './clip'
import type { Stretch } from './stretch'

/** The clip from end to end in a few pictures, with the stretch between two handles, and where it plays. */
const props = defineProps<{ clip: Clip; stretch: Stretch; playhead: number }>()
const emit = defineEmits<{ seek: [moment: number] }>()
const PICTURES = 10
const SHOWN = { width: 120, height: 72 }

const track = useTemplateRef<HTMLElement>('track')
const strip = useTemplateRef<HTMLCanvasElement>('strip')
const drag = usePointerDrag()
const dragged = ref<'from' | 'to' | null>(null)
let left = false

const share = (moment: number): string => `${(100 * moment) / props.clip.length}%`
const secondsText = (moment: number): string => `${(moment / MICROS).toFixed(2)} s`

// What is decoded when the workplace closes is given up.
watch(strip, () => void fill().catch(() => undefined))
onBeforeUnmount(() => (left = true))

/** Pictures are drawn as wide as the clip's, cut to the room there is. */
async function fill(): Promise<void> {
  const pen = strip.value?.getContext('2d')
  const { width, height } = props.clip.size
  const scale = Math.max(SHOWN.width / width, SHOWN.height / height)
  const size = { width: Math.round(width * scale), height: Math.round(height * scale) }
  const times = Array.from({ length: PICTURES }, (_, i) => ((i + 0.5) * props.clip.length) / PICTURES)
  let place = 0
  for await (const canvas of props.clip.pictures(times, size)) {
    if (left) {
      return
    }
    const x = (size.width - SHOWN.width) / 2
    const y = (size.height - SHOWN.height) / 2
    pen?.drawImage(canvas, x, y, SHOWN.width, SHOWN.height, place++ * SHOWN.width, 0, SHOWN.width, SHOWN.height)
  }
}

function momentAt(event: PointerEvent | MouseEvent): number {
  const box = track.value!.getBoundingClientRect()
  return Math.round(props.clip.length * Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)))
}

function move(which: 'from' | 'to', moment: number): void {
  const { stretch } = props
  if (which === 'from') {
    stretch.moveFrom(moment)
  } else {
    stretch.moveTo(moment)
  }
  emit('seek', which === 'from' ? stretch.from.value : stretch.to.value - 1)
}

function press(event: PointerEvent, which: 'from' | 'to'): void {
  const before = props.stretch[which].value
  dragged.value = which
  drag.press(event, {
    far: 2,
    move: ({ event: now }) => move(which, momentAt(now)),
    drop: () => void props.stretch.pictureAt(props.stretch[which].value).then((moment) => move(which, moment)),
    cancel: () => move(which, before),
  })
}

/** One picture on or back; with Shift, a second. */
async function step(event: KeyboardEvent, which: 'from' | 'to', direction: number): Promise<void> {
  const now = props.stretch[which].value
  const moment = event.shiftKey
    ? await props.stretch.pictureAt(Math.max(0, now + direction * MICROS))
    : await props.stretch.pictureFrom(now, direction)
  move(which, moment)
}
</script>

<template>
  <div ref="track" class="track" @pointerdown="emit('seek', momentAt($event))">
    <canvas ref="strip" class="strip" :width="PICTURES * SHOWN.width" :height="SHOWN.height" aria-hidden="true" />
    <div class="outside" :style="{ left: 0, width: share(stretch.from.value) }" />
    <div class="outside" :style="{ left: share(stretch.to.value), right: 0 }" />
    <div
      class="chosen"
      :style="{ left: share(stretch.from.value), width: share(stretch.to.value - stretch.from.value) }"
    />
    <div class="playhead" :style="{ left: share(playhead) }" />
    <div
      v-for="which in ['from', 'to'] as const"
      :key="which"
      class="handle"
      :class="which"
      role="slider"
      tabindex="0"
      :style="{ left: share(stretch[which].value) }"
      :aria-label="which === 'from' ? 'Begin at' : 'End at'"
      :aria-valuenow="stretch[which].value / 1000"
      aria-valuemin="0"
      :aria-valuemax="clip.length / 1000"
      :aria-valuetext="secondsText(stretch[which].value)"
      @pointerdown.stop.prevent="press($event, which)"
      @keydown.left.prevent="step($event, which, -1)"
      @keydown.right.prevent="step($event, which, 1)"
      @keydown.home.prevent="move(which, 0)"
      @keydown.end.prevent="move(which, clip.length)"
    />
  </div>
</template>

<style scoped>
.track {
  position: relative;
  height: 56px;
  margin: 0 12px;
  touch-action: none;
  cursor: pointer;
}

.strip {
  width: 100%;
  height: 100%;
  border-radius: 6px;
  background: var(--sunk);
}

.outside {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--card);
  opacity: 0.72;
}

.chosen {
  position: absolute;
  top: 0;
  bottom: 0;
  border-block: 3px solid var(--ink);
  pointer-events: none;
}

.playhead {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 2px;
  margin-left: -1px;
  background: var(--rein);
  pointer-events: none;
}

.handle {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 24px;
  cursor: ew-resize;
}

.handle::after {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 12px;
  background: var(--ink);
  content: '';
}

.handle.from {
  margin-left: -24px;
}

.handle.from::after {
  right: 0;
  border-radius: 6px 0 0 6px;
}

.handle.to::after {
  left: 0;
  border-radius: 0 6px 6px 0;
}
</style>
