<script setup lang="ts">
import { computed, ref } from 'vue'
import { delayText, durationText } from '@/parts/format'
import { usePlayhead } from './playhead'
import { fillsFor, seamWords, ticksFor } from './rhythm'
import { useReel } from './store'
import { useSelection } from './selection'

/** The whole loop, true to time: each frame as wide as it shows, filled by how much it changes, the seam at the end. */
const NARROWEST_TO_GRAB = 14
const MILLIS_STEP = 10

const store = useReel()
const playhead = usePlayhead()
const selection = useSelection()
const track = ref<HTMLElement | null>(null)
/** The frame whose end is being dragged, and the delay it would get. */
const dragged = ref<{ id: number; index: number; millis: number; startX: number; from: number } | null>(null)

const segments = computed(() => {
  const fills = fillsFor(store.rhythm?.changes ?? [])
  return store.frames.map((frame, index) => ({
    frame,
    index,
    millis: dragged.value?.id === frame.id ? dragged.value.millis : frame.shownMillis,
    fill: fills[index] ?? 0,
    selected: selection.set.has(frame.id),
  }))
})
const total = computed(() => segments.value.reduce((sum, segment) => sum + segment.millis, 0))
const ticks = computed(() => ticksFor(total.value))
const seam = computed(() => seamWords(store.rhythm))
const at = computed(() => (playhead.total > 0 ? (playhead.millis / playhead.total) * 100 : 0))

function momentAt(event: PointerEvent): number {
  const box = (track.value as HTMLElement).getBoundingClientRect()
  return ((event.clientX - box.left) / box.width) * playhead.total
}

function onDown(event: PointerEvent): void {
  if (event.button !== 0 || store.frames.length === 0) {
    return
  }
  const index = playhead.indexAt(momentAt(event))
  const frame = store.frames[index]
  if (event.shiftKey && frame) {
    selection.extendTo(frame.id)
  }
  playhead.playing = false
  playhead.goTo(index)
  track.value?.setPointerCapture(event.pointerId)
}

function onMove(event: PointerEvent): void {
  if (event.buttons === 1 && track.value?.hasPointerCapture(event.pointerId)) {
    playhead.goTo(playhead.indexAt(momentAt(event)))
  }
}

function onEdgeDown(event: PointerEvent, id: number, index: number, millis: number): void {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  dragged.value = { id, index, millis, startX: event.clientX, from: millis }
}

function onEdgeMove(event: PointerEvent): void {
  const now = dragged.value
  if (now && track.value) {
    const perPixel = playhead.total / track.value.clientWidth
    const wanted = now.from + (event.clientX - now.startX) * perPixel
    const millis = Math.max(2 * MILLIS_STEP, Math.round(wanted / MILLIS_STEP) * MILLIS_STEP)
    dragged.value = { ...now, millis }
  }
}

async function onEdgeUp(): Promise<void> {
  const now = dragged.value
  if (now && now.millis !== now.from) {
    await store.dispatch({ type: 'setDelay', frames: [now.id], delayMillis: now.millis })
  }
  dragged.value = null
}

function onKey(event: KeyboardEvent): void {
  const by = event.shiftKey ? 10 : 1
  const run = {
    ArrowLeft: () => playhead.step(-by),
    ArrowDown: () => playhead.step(-by),
    ArrowRight: () => playhead.step(by),
    ArrowUp: () => playhead.step(by),
  }[event.key]
  if (run && !event.altKey && !event.ctrlKey) {
    event.preventDefault()
    run()
  }
}
</script>

<template>
  <section class="rhythm" aria-label="Rhythm of the loop">
    <div class="bar">
      <div ref="track" class="track" role="slider" tabindex="0" aria-label="Playhead" :aria-valuemin="1"
        :aria-valuemax="Math.max(1, store.frames.length)" :aria-valuenow="playhead.index + 1"
        :aria-valuetext="`Frame ${playhead.index + 1} of ${store.frames.length}, ${delayText(playhead.frame?.delayMillis ?? 0)}`"
        @pointerdown="onDown" @pointermove="onMove" @keydown="onKey">
        <div v-for="segment in segments" :key="segment.frame.id" class="segment"
          :class="{ selected: segment.selected, dragged: dragged?.id === segment.frame.id }"
          :style="{ flexGrow: segment.millis }">
          <span class="fill" :style="{ height: `${4 + segment.fill * 92}%` }" />
          <span v-if="track && (segment.millis / total) * track.clientWidth >= NARROWEST_TO_GRAB" class="edge"
            :title="`Frame ${segment.index + 1}: ${delayText(segment.frame.delayMillis)}. Drag to change.`"
            @pointerdown.stop="onEdgeDown($event, segment.frame.id, segment.index, segment.frame.shownMillis)"
            @pointermove="onEdgeMove" @pointerup="onEdgeUp" @pointercancel="dragged = null" />
        </div>
        <div v-if="store.frames.length === 0" class="none">The rhythm of the loop shows here once there are frames.</div>
        <div v-if="store.frames.length > 0 && !dragged" class="playhead" :style="{ left: at + '%' }">
          <span class="flag" :class="{ left: at > 90 }">{{ playhead.index + 1 }}</span>
        </div>
        <div v-if="dragged" class="readout">frame {{ dragged.index + 1 }}: {{ delayText(dragged.millis) }}</div>
      </div>
      <div class="ticks" aria-hidden="true">
        <span v-for="tick in ticks" :key="tick.millis" :style="{ left: (tick.millis / total) * 100 + '%' }">{{ tick.text }}</span>
        <span v-if="total > 0" class="end">{{ durationText(total) }}</span>
      </div>
    </div>
    <div class="seam" :class="seam.tone" :title="seam.explained">
      <b>{{ seam.word }}</b>
      <span>{{ seam.detail }}</span>
    </div>
  </section>
</template>

<style scoped src="./rhythm-bar.css"></style>
