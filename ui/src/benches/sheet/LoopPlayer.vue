<script setup lang="ts">
import { mdiPause, mdiPlay, mdiSkipPrevious, mdiStepBackward, mdiStepForward } from '@mdi/js'
import { computed, ref, watchPostEffect } from 'vue'
import { delayText, playsText } from '@/parts/format'
import { useAnimationFrames } from '@/parts/useAnimationFrames'
import { useFrameImages } from '@/reel/frameImages'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'

/** The loop at its true pace. Small pictures show until the large ones are there. */
const SMALL = 240
const LARGE = 640
/** So many frames are kept large; a longer loop would need more memory than a tab should take. */
const MANY = 120

const store = useReel()
const playhead = usePlayhead()
const surface = ref<HTMLCanvasElement | null>(null)

const looks = computed(() => [...new Set(store.frames.map((frame) => frame.drawn))])
const from = computed(() => Math.max(0, looks.value.indexOf(playhead.frame?.drawn ?? '')))
const largeWidth = computed(() => (looks.value.length > MANY ? LARGE / 2 : LARGE))
const small = useFrameImages(() => store.reel?.id, looks, SMALL, 0)
const large = useFrameImages(() => store.reel?.id, looks, largeWidth, from)
const shown = computed(() => {
  const drawn = playhead.frame?.drawn ?? ''
  return large.get(drawn) ?? small.get(drawn)
})
const canvas = computed(() => store.reel?.canvas ?? { width: 3, height: 2 })
const width = computed(() => Math.min(largeWidth.value, canvas.value.width))
const height = computed(() => Math.round((width.value * canvas.value.height) / canvas.value.width))

useAnimationFrames((elapsed) => playhead.advance(elapsed))

watchPostEffect(() => {
  const pen = surface.value?.getContext('2d')
  if (pen && (shown.value || store.frames.length === 0)) {
    pen.clearRect(0, 0, width.value, height.value)
  }
  if (pen && shown.value) {
    pen.drawImage(shown.value, 0, 0, width.value, height.value)
  }
})
</script>

<template>
  <section aria-label="Player">
    <div class="stage checker">
      <canvas ref="surface" :width="width" :height="height" role="img"
        :aria-label="store.frames.length ? `Frame ${playhead.index + 1} of ${store.frames.length}` : 'No frames'" />
    </div>
    <div class="transport">
      <v-btn :icon="playhead.playing ? mdiPause : mdiPlay" variant="flat" color="primary" size="44" rounded="circle"
        :aria-label="playhead.playing ? 'Pause' : 'Play'" :title="playhead.playing ? 'Pause (Space)' : 'Play (Space)'"
        :disabled="store.frames.length === 0" @click="playhead.playing = !playhead.playing" />
      <v-btn :icon="mdiSkipPrevious" size="small" aria-label="To the start" title="To the start (Home)"
        @click="playhead.goTo(0)" />
      <v-btn :icon="mdiStepBackward" size="small" aria-label="One frame back" title="One frame back (←)"
        @click="playhead.step(-1)" />
      <v-btn :icon="mdiStepForward" size="small" aria-label="One frame on" title="One frame on (→)"
        @click="playhead.step(1)" />
      <span class="pace quiet">
        <template v-if="playhead.playing && playhead.frame">true pace · {{ playsText(store.reel?.plays ?? 0) }}</template>
        <template v-else-if="playhead.frame">frame {{ playhead.index + 1 }} · {{ delayText(playhead.frame.delayMillis) }}</template>
      </span>
    </div>
  </section>
</template>

<style scoped>
.stage {
  display: grid;
  place-items: center;
  overflow: hidden;
  border-radius: var(--round);
}

canvas {
  display: block;
  width: 100%;
  max-height: 46vh;
  object-fit: contain;
}

.transport {
  display: flex;
  align-items: center;
  gap: 4px;
  margin-top: 10px;
}

.pace {
  margin-left: auto;
  font-size: 14px;
}
</style>
