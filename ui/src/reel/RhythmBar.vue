<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { delayText, durationText } from '@/parts/format'
import PlayheadMark from './PlayheadMark.vue'
import { usePlayhead } from './playhead'
import { seamWords, ticksFor } from './rhythm'
import RhythmSegments from './RhythmSegments.vue'
import { useReel } from './store'
import { useSelection } from './selection'

/** The whole loop, true to time: each frame as wide as it shows, filled by how much it changes, the seam at the end. */
const store = useReel()
const playhead = usePlayhead()
const selection = useSelection()
const track = ref<HTMLElement | null>(null)
const { width } = useElementSize(track)

const ticks = computed(() => ticksFor(playhead.total))
const seam = computed(() => seamWords(store.rhythm))

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
        <template v-if="store.frames.length > 0">
          <rhythm-segments :track-width="width" :total-millis="playhead.total" />
          <playhead-mark />
        </template>
        <div v-else class="none">The rhythm of the loop shows here once there are frames.</div>
      </div>
      <div class="ticks" aria-hidden="true">
        <span v-for="tick in ticks" :key="tick.millis" :style="{ left: (tick.millis / playhead.total) * 100 + '%' }">{{
          tick.text }}</span>
        <span v-if="playhead.total > 0" class="end">{{ durationText(playhead.total) }}</span>
      </div>
    </div>
    <div class="seam" :class="seam.tone" :title="seam.explained">
      <b>{{ seam.word }}</b>
      <span>{{ seam.detail }}</span>
    </div>
  </section>
</template>

<style scoped src="./rhythm-bar.css"></style>
