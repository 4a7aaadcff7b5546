<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, nextTick, ref, toRef } from 'vue'
import { limits } from '@/api/limits'
import { delayText } from '@/parts/format'
import { within } from '@/parts/numbers'
import type { DraggedEdge } from './edgeDrag'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'

/**
 * A slider for the delay of each frame that plays, over its segment in the rhythm bar: up and down change it, left and
 * right go to the frames beside it, so that Tab passes hundreds of them in one step.
 */
const props = defineProps<{ scale: number; dragged: DraggedEdge | null }>()

const STEP = 10
const LARGE_STEP = 100
/** A row of key presses is one edit. */
const PAUSE = 450
const FOLLOW_AFTER = 120

const store = useReel()
const playhead = usePlayhead()
const root = ref<HTMLElement | null>(null)
const reached = ref<number | null>(null)
/** What keys have made of one delay, before it is saved. */
const typed = ref<{ id: number; millis: number } | null>(null)
let saving = 0

/** Nobody sees the sliders themselves: hundreds of them follow a moment after what is seen. */
const settled = refDebounced(
  toRef(() => ({ frames: store.frames, starts: playhead.starts })),
  FOLLOW_AFTER,
)
const segments = computed(() =>
  settled.value.frames.map((frame, index) => ({ frame, index })).filter(({ frame }) => !frame.leftOut),
)
const tabStop = computed(() => {
  const ids = segments.value.map(({ frame }) => frame.id)
  return reached.value !== null && ids.includes(reached.value) ? reached.value : ids[0]
})

function millisOf(id: number, millis: number): number {
  return props.dragged?.id === id ? props.dragged.millis : typed.value?.id === id ? typed.value.millis : millis
}

function save(): void {
  clearTimeout(saving)
  const now = typed.value
  typed.value = null
  if (now && store.frames.find((frame) => frame.id === now.id)?.delayMillis !== now.millis) {
    void store.dispatch({ type: 'setDelay', frames: [now.id], delayMillis: now.millis })
  }
}

function change(id: number, by: number): void {
  const before =
    typed.value?.id === id ? typed.value.millis : store.frames.find((frame) => frame.id === id)?.delayMillis
  typed.value = { id, millis: within(limits.SetDelay.delayMillis, (before ?? 0) + by) }
  clearTimeout(saving)
  saving = window.setTimeout(save, PAUSE)
}

async function goTo(place: number): Promise<void> {
  const next = segments.value[Math.max(0, Math.min(segments.value.length - 1, place))]
  if (next) {
    reached.value = next.frame.id
    await nextTick()
    root.value?.querySelector<HTMLElement>(`[data-slider="${next.frame.id}"]`)?.focus()
  }
}

function onKey(event: KeyboardEvent): void {
  const id = Number((event.target as HTMLElement).dataset.slider)
  const place = segments.value.findIndex(({ frame }) => frame.id === id)
  const run = {
    ArrowUp: () => change(id, event.shiftKey ? LARGE_STEP : STEP),
    ArrowDown: () => change(id, event.shiftKey ? -LARGE_STEP : -STEP),
    PageUp: () => change(id, LARGE_STEP),
    PageDown: () => change(id, -LARGE_STEP),
    ArrowLeft: () => void goTo(place - 1),
    ArrowRight: () => void goTo(place + 1),
    Home: () => void goTo(0),
    End: () => void goTo(segments.value.length - 1),
  }[event.key]
  if (run && place >= 0 && !event.altKey && !event.ctrlKey) {
    event.preventDefault()
    run()
  }
}
</script>

<template>
  <div
    ref="root"
    class="segments"
    role="group"
    aria-label="Delays, one slider a frame"
    @keydown="onKey"
    @focusout="save"
  >
    <!-- Keyed by place: when frames change places, sliders stay and only differ a little. -->
    <div
      v-for="({ frame, index }, place) in segments"
      :key="place"
      v-memo="[frame, index, scale, tabStop === frame.id, settled.starts[index], millisOf(frame.id, frame.delayMillis)]"
      class="segment"
      role="slider"
      aria-orientation="vertical"
      :tabindex="tabStop === frame.id ? 0 : -1"
      :data-slider="frame.id"
      :aria-label="`Delay of frame ${index + 1}`"
      :aria-valuemin="limits.SetDelay.delayMillis.min"
      :aria-valuemax="limits.SetDelay.delayMillis.max"
      :aria-valuenow="millisOf(frame.id, frame.delayMillis)"
      :aria-valuetext="delayText(millisOf(frame.id, frame.delayMillis))"
      :title="`Frame ${index + 1}: ${delayText(frame.delayMillis)}`"
      :style="{ left: `${(settled.starts[index] ?? 0) * scale}px`, width: `${frame.shownMillis * scale}px` }"
    />
  </div>
</template>

<style scoped>
.segment {
  position: absolute;
  top: 0;
  height: 100%;
  border-radius: 3px;
}

.segment:focus-visible {
  z-index: 1;
  outline-offset: 0;
}
</style>
