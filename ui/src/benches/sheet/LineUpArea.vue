<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { Box, FrameView, Size } from '@/api/types'
import { frameNowUrl } from '@/api/urls'
import { usePointerDrag } from '@/parts/pointerDrag'

/** The part of a frame that others are lined up by: drawn on the frame, or moved and sized by arrow keys. */
const props = defineProps<{ reel: string; frame: FrameView; canvas: Size }>()
const box = defineModel<Box>({ required: true })
const SHOWN_WIDTH = 432
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

const picture = useTemplateRef<HTMLElement>('picture')
const step = computed(() => Math.max(1, Math.round(props.canvas.width / 50)))
const drag = usePointerDrag((event) => {
  const seen = picture.value!.getBoundingClientRect()
  return {
    x: ((event.clientX - seen.left) / seen.width) * props.canvas.width,
    y: ((event.clientY - seen.top) / seen.height) * props.canvas.height,
  }
})

function press(event: PointerEvent): void {
  const before = box.value
  drag.press(event, {
    move: ({ from, to }) =>
      take(Math.min(from.x, to.x), Math.min(from.y, to.y), Math.max(from.x, to.x), Math.max(from.y, to.y)),
    cancel: () => (box.value = before),
  })
}

function onKey(event: KeyboardEvent): void {
  const by = STEPS[event.key]
  if (by) {
    event.preventDefault()
    const { x, y, width, height } = box.value
    const [dx, dy] = [by[0] * step.value, by[1] * step.value]
    take(event.shiftKey ? x : x + dx, event.shiftKey ? y : y + dy, x + width + dx, y + height + dy)
  }
}

/** What lies beside the frame is cut off. */
function take(left: number, top: number, right: number, bottom: number): void {
  const { width, height } = props.canvas
  const [x, y] = [Math.round(clamped(left, width - 1)), Math.round(clamped(top, height - 1))]
  box.value = {
    x,
    y,
    width: Math.max(1, Math.round(clamped(right, width)) - x),
    height: Math.max(1, Math.round(clamped(bottom, height)) - y),
  }
}

const clamped = (value: number, most: number): number => Math.min(most, Math.max(0, value))
const share = (part: number, whole: number): string => `${(100 * part) / whole}%`
</script>

<template>
  <div
    ref="picture"
    class="picture"
    :style="{ aspectRatio: `${canvas.width} / ${canvas.height}` }"
    @pointerdown.left.prevent="press"
  >
    <img :src="frameNowUrl(reel, frame.drawn, SHOWN_WIDTH)" alt="" draggable="false" />
    <span
      class="box"
      tabindex="0"
      role="group"
      :aria-label="`Part: ${box.width} × ${box.height} at ${box.x}, ${box.y}`"
      :style="{
        left: share(box.x, canvas.width),
        top: share(box.y, canvas.height),
        width: share(box.width, canvas.width),
        height: share(box.height, canvas.height),
      }"
      @keydown="onKey"
    />
  </div>
  <p class="quiet hint">Drag over what stands still. Arrow keys move the box, with Shift they size it.</p>
</template>

<style scoped>
.picture {
  position: relative;
  overflow: hidden;
  max-height: 34vh;
  margin: 8px auto 0;
  border-radius: 8px;
  cursor: crosshair;
  touch-action: none;
}

img {
  display: block;
  width: 100%;
  height: 100%;
}

.box {
  position: absolute;
  border: 2px solid #fff;
  box-shadow:
    0 0 0 2px #1e2a32,
    0 0 0 2000px #1e2a3280;
}

.hint {
  margin: 6px 0 0;
  font-size: 14px;
}
</style>
