<script setup lang="ts">
import { mdiPause, mdiPlay } from '@mdi/js'
import { useRafFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { sayProblem } from '@/ground/messages'
import { delayText } from '@/parts/format'
import type { ShownFile } from './shownFile'
import { stepsOf } from './steps'
import type { Steps } from './steps'

/** Two files at one playhead: the same moment of both, playing or stopped. */
const props = defineProps<{ files: ShownFile[]; widths: number[] }>()
const playing = ref(!matchMedia('(prefers-reduced-motion: reduce)').matches)
/** In milliseconds from the start. */
const now = ref(0)
const steps = shallowRef<Steps[]>([])
const surfaces = ref<HTMLCanvasElement[]>([])
const longest = computed(() => Math.max(1, ...steps.value.map(({ millis }) => millis)))
const drawn: (number | null)[] = []
let opened = 0

async function open(): Promise<void> {
  const mine = ++opened
  close()
  try {
    const all = await Promise.all(props.files.map(({ url }) => stepsOf(url)))
    if (mine === opened) {
      steps.value = all
      draw()
    } else {
      all.forEach((each) => each.close())
    }
  } catch (failure) {
    sayProblem(failure)
  }
}

function close(): void {
  steps.value.forEach((each) => each.close())
  steps.value = []
  drawn.length = 0
}

function draw(): void {
  steps.value.forEach((each, i) => {
    const frame = each.at(now.value)
    if (drawn[i] !== frame) {
      drawn[i] = frame
      void each.picture(frame).then(
        (picture) => show(picture, i, frame),
        () => undefined,
      )
    }
  })
}

/** One that comes late is not shown. */
function show(picture: VideoFrame, i: number, frame: number): void {
  const canvas = surfaces.value[i]
  if (canvas && drawn[i] === frame) {
    const pen = canvas.getContext('2d')!
    pen.clearRect(0, 0, canvas.width, canvas.height)
    pen.drawImage(picture, 0, 0)
  }
  picture.close()
}

useRafFn(({ delta }) => {
  if (playing.value && steps.value.length > 0) {
    now.value = (now.value + delta) % longest.value
    draw()
  }
})

function goTo(millis: number): void {
  playing.value = false
  now.value = millis
  draw()
}

watch(
  () => props.files.map(({ url }) => url).join(' '),
  () => void open(),
  { immediate: true },
)
onBeforeUnmount(() => {
  opened++
  close()
})
</script>

<template>
  <div class="in-step">
    <div class="head">
      <v-btn
        size="small"
        variant="outlined"
        :icon="playing ? mdiPause : mdiPlay"
        :aria-label="playing ? 'Stop both' : 'Play both'"
        @click="playing = !playing"
      />
      <input
        type="range"
        min="0"
        :max="Math.floor(longest) - 1"
        step="10"
        :value="now"
        aria-label="Time in both"
        :aria-valuetext="delayText(Math.round(now))"
        @input="goTo(Number(($event.target as HTMLInputElement).value))"
      />
      <span>{{ delayText(10 * Math.round(now / 10)) }}</span>
    </div>
    <div class="files">
      <figure v-for="(file, i) in files" :key="file.url">
        <canvas
          ref="surfaces"
          :width="file.size.width"
          :height="file.size.height"
          :style="{ width: `${widths[i]}px` }"
          role="img"
          :aria-label="file.title"
        />
        <figcaption>{{ file.title }} · {{ file.facts }}</figcaption>
      </figure>
    </div>
  </div>
</template>

<style scoped>
.in-step {
  display: grid;
  gap: 14px;
}

/* Side by side, even where that makes them smaller. */
.files {
  display: flex;
  justify-content: center;
  align-items: start;
  gap: 16px;
}

figure {
  display: grid;
  flex: 0 1 auto;
  gap: 6px;
  min-width: 0;
  margin: 0;
}

canvas {
  max-width: 100%;
}

figcaption,
.head {
  padding: 2px 10px;
  border-radius: 12px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
}

figcaption {
  justify-self: start;
}

.head {
  display: grid;
  grid-template-columns: auto minmax(120px, 1fr) 64px;
  align-items: center;
  gap: 10px;
  padding: 6px 12px;
}

input {
  accent-color: var(--rein);
}
</style>
