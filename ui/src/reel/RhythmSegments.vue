<script setup lang="ts">
import { computed, ref } from 'vue'
import { delayText } from '@/parts/format'
import { fillsFor } from './rhythm'
import { useReel } from './store'
import { useSelection } from './selection'

/** One segment a frame, as wide as it shows; its right edge can be dragged to change the delay. */
const props = defineProps<{ trackWidth: number; totalMillis: number }>()

const NARROWEST_TO_GRAB = 14
const MILLIS_STEP = 10
const SHORTEST_BY_HAND = 20

interface Dragged {
  id: number
  index: number
  millis: number
  startX: number
  from: number
}

const store = useReel()
const selection = useSelection()
const dragged = ref<Dragged | null>(null)

const segments = computed(() => {
  const fills = fillsFor(store.rhythm?.changes ?? [])
  return store.frames.map((frame, index) => ({
    frame,
    index,
    millis: dragged.value?.id === frame.id ? dragged.value.millis : frame.shownMillis,
    fill: fills[index] ?? 0,
    selected: selection.set.has(frame.id),
    grabbable: (frame.shownMillis / props.totalMillis) * props.trackWidth >= NARROWEST_TO_GRAB,
  }))
})

function onDown(event: PointerEvent, id: number, index: number, millis: number): void {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  dragged.value = { id, index, millis, startX: event.clientX, from: millis }
}

function onMove(event: PointerEvent): void {
  const now = dragged.value
  if (now) {
    const wanted = now.from + ((event.clientX - now.startX) * props.totalMillis) / props.trackWidth
    const millis = Math.max(SHORTEST_BY_HAND, Math.round(wanted / MILLIS_STEP) * MILLIS_STEP)
    dragged.value = { ...now, millis }
  }
}

async function onUp(): Promise<void> {
  const now = dragged.value
  if (now && now.millis !== now.from) {
    await store.dispatch({ type: 'setDelay', frames: [now.id], delayMillis: now.millis })
  }
  dragged.value = null
}
</script>

<template>
  <div v-for="segment in segments" :key="segment.frame.id" class="segment"
    :class="{ selected: segment.selected, dragged: dragged?.id === segment.frame.id }" :style="{ flexGrow: segment.millis }">
    <span class="fill" :style="{ height: `${4 + segment.fill * 92}%` }" />
    <span v-if="segment.grabbable" class="edge"
      :title="`Frame ${segment.index + 1}: ${delayText(segment.frame.delayMillis)}. Drag to change.`"
      @pointerdown.stop="onDown($event, segment.frame.id, segment.index, segment.frame.shownMillis)" @pointermove="onMove"
      @pointerup="onUp" @pointercancel="dragged = null" />
  </div>
  <div v-if="dragged" class="readout">frame {{ dragged.index + 1 }}: {{ delayText(dragged.millis) }}</div>
</template>

<style scoped>
.segment {
  position: relative;
  flex: 1 1 0;
  min-width: 1px;
  overflow: hidden;
  border-right: 1px solid var(--card);
  border-radius: 3px;
  background: var(--sunk);
}

.fill {
  position: absolute;
  inset: auto 0 0;
  background: var(--beat);
}

.selected {
  background: var(--rein-soft);
  box-shadow: inset 0 0 0 2px var(--rein);
}

.selected .fill {
  background: color-mix(in srgb, var(--rein) 62%, var(--card));
}

.dragged {
  box-shadow: inset 0 0 0 2px var(--ink);
}

.edge {
  position: absolute;
  inset: 0 0 0 auto;
  width: 7px;
  cursor: ew-resize;
}

.edge:hover {
  background: var(--ink);
}

.readout {
  position: absolute;
  inset: 50% auto auto 50%;
  z-index: 1;
  padding: 2px 10px;
  border-radius: 6px;
  background: var(--ink);
  color: var(--card);
  font-weight: 650;
  pointer-events: none;
  transform: translate(-50%, -50%);
}
</style>
