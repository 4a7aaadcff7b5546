<script setup lang="ts">
import { mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js'
import { useElementHover, useElementSize, useEventListener, useScroll } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { delayText, durationText } from '@/parts/format'
import { usePointerDrag } from '@/parts/pointerDrag'
import PlayheadMark from './PlayheadMark.vue'
import { usePlayhead } from '@/reel/playhead'
import { seamWords, ticksFor } from './rhythm'
import RhythmPicture from './RhythmPicture.vue'
import RhythmRuns from './RhythmRuns.vue'
import RhythmSegments from './RhythmSegments.vue'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { useEdgeDrag } from './edgeDrag'

/** The whole loop, true to time: each frame as wide as it shows, filled by how much it changes, the seam at the end. */
const ZOOM_STEP = 1.6
const MOST_ZOOM = 60

const store = useReel()
const playhead = usePlayhead()
const selection = useSelection()
const view = ref<HTMLElement | null>(null)
const track = ref<HTMLElement | null>(null)
const { width: viewWidth } = useElementSize(view)
const scroll = useScroll(view)
const pointedAt = useElementHover(view)
const zoom = ref(1)

/** While an edge is dragged the scale stays, so that the edge stays under the pointer. */
const total = computed(() => Math.max(1, playhead.total))
const scale = computed(() => (viewWidth.value * zoom.value) / total.value)
const edges = useEdgeDrag(track, scale)
const scrub = usePointerDrag()
const trackWidth = computed(() => scale.value * (total.value + edges.added.value))
const ticks = computed(() => ticksFor(total.value, zoom.value, trackWidth.value))
const seam = computed(() =>
  seamWords(store.rhythm, store.rhythm?.complete !== true && store.frames.length > 0, store.rhythmProblem),
)

function momentAt(event: PointerEvent): number {
  return (event.clientX - (track.value as HTMLElement).getBoundingClientRect().left) / scale.value
}

function onDown(event: PointerEvent): void {
  if (event.button !== 0 || store.frames.length === 0) {
    return
  }
  if (edges.press(event)) {
    return
  }
  const index = playhead.indexAt(momentAt(event))
  const frame = store.frames[index]
  if (event.shiftKey && frame) {
    selection.extendTo(frame.id)
  }
  playhead.playing = false
  scrub.press(event, { far: 0, move: (now) => playhead.goTo(playhead.indexAt(momentAt(now.event))) })
}

/** Zooms about a place of the view, which stays where it is. */
async function zoomBy(factor: number, at = viewWidth.value / 2): Promise<void> {
  const element = view.value as HTMLElement
  const moment = (element.scrollLeft + at) / scale.value
  zoom.value = Math.min(MOST_ZOOM, Math.max(1, zoom.value * factor))
  await nextTick()
  element.scrollLeft = moment * scale.value - at
}

function onWheel(event: WheelEvent): void {
  if (event.ctrlKey) {
    event.preventDefault()
    const left = (view.value as HTMLElement).getBoundingClientRect().left
    void zoomBy(event.deltaY < 0 ? ZOOM_STEP : 1 / ZOOM_STEP, event.clientX - left)
  }
}
useEventListener(view, 'wheel', onWheel, { passive: false })

/** Zoomed in, the bar turns its page when the playhead leaves it, but not from under the pointer. */
watch(
  () => playhead.index,
  () => {
    const element = view.value
    const at = (playhead.starts[playhead.index] ?? 0) * scale.value
    if (
      element &&
      zoom.value > 1 &&
      !pointedAt.value &&
      (at < element.scrollLeft || at > element.scrollLeft + viewWidth.value - 8)
    ) {
      element.scrollLeft = at - 24
    }
  },
)
watch(
  () => store.reel?.id,
  () => (zoom.value = 1),
)
</script>

<template>
  <section class="rhythm" aria-label="Rhythm of the loop">
    <div ref="view" class="bar">
      <div
        ref="track"
        class="track"
        :class="{ 'at-edge': edges.near.value }"
        :style="{ width: `${trackWidth}px` }"
        @pointerdown="onDown"
        @pointermove="edges.hover"
      >
        <template v-if="playhead.total > 0">
          <rhythm-picture :scale="scale" :scrolled="scroll.x.value" :width="viewWidth" :dragged="edges.dragged.value" />
          <rhythm-segments :scale="scale" :dragged="edges.dragged.value" />
          <rhythm-runs :scale="scale" />
          <playhead-mark :scale="scale" />
        </template>
        <div v-else class="none">The rhythm of the loop shows here once there are frames.</div>
      </div>
      <div class="ticks" aria-hidden="true" :style="{ width: `${trackWidth}px` }">
        <span v-for="tick in ticks" :key="tick.millis" :style="{ left: `${tick.millis * scale}px` }">{{
          tick.text
        }}</span>
        <span v-if="playhead.total > 0" class="end">{{ durationText(playhead.total) }}</span>
      </div>
    </div>
    <div v-if="edges.dragged.value" class="readout" role="status">
      frame {{ edges.dragged.value.index + 1 }}: {{ delayText(edges.dragged.value.millis) }}, loop
      {{ durationText(total + edges.added.value) }}
    </div>
    <div class="aside">
      <div class="seam" :class="seam.tone" :title="seam.explained">
        <b>{{ seam.word }}</b>
        <span>{{ seam.detail }}</span>
        <span class="unseen">{{ seam.explained }}</span>
      </div>
      <div class="zoom">
        <v-btn
          :icon="mdiMagnifyMinusOutline"
          size="x-small"
          aria-label="Zoom the rhythm out"
          title="Zoom out (Ctrl + wheel)"
          :disabled="zoom === 1"
          @click="zoomBy(1 / ZOOM_STEP)"
        />
        <v-btn
          :icon="mdiMagnifyPlusOutline"
          size="x-small"
          aria-label="Zoom the rhythm in"
          title="Zoom in (Ctrl + wheel)"
          :disabled="zoom >= MOST_ZOOM || playhead.total === 0"
          @click="zoomBy(ZOOM_STEP)"
        />
      </div>
    </div>
  </section>
</template>

<style scoped src="./rhythm-bar.css"></style>
