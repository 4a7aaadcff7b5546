<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, watchPostEffect } from 'vue'
import { hasFewPixels } from '@/parts/fewPixels'
import { useFrameImages } from '@/reel/frameImages'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import type { Look } from './look'

/** The frame at the playhead, drawn as large as it is looked at. Small pictures show until the large ones are there. */
const props = defineProps<{
  look: Look
  hard?: boolean
  /** Few pixels are fitted in by whole factors, so that all are of one size. */
  whole?: boolean
}>()
const emit = defineEmits<{ sharp: [look: string] }>()

const SMALL = 240
/** Pictures are asked for in a few widths, so that they are found again. */
const WIDTHS = [480, 800, 1200, 1600]
/** So many pixels are kept ready; more would need more memory than a tab should take. */
const MOST_PIXELS = 60_000_000

const store = useReel()
const playhead = usePlayhead()
const stage = ref<HTMLElement | null>(null)
const surface = ref<HTMLCanvasElement | null>(null)
const { width: stageWidth, height: stageHeight } = useElementSize(stage)

const canvas = computed(() => store.reel?.canvas ?? { width: 3, height: 2 })
const looks = computed(() => [...new Set(store.frames.map((frame) => frame.drawn))])
const from = computed(() => Math.max(0, looks.value.indexOf(playhead.frame?.drawn ?? '')))

const few = computed(() => hasFewPixels(canvas.value))

/** How large it is seen, in CSS pixels. */
const seen = computed(() => {
  const { width, height } = canvas.value
  const exactly = Math.min(stageWidth.value / width, stageHeight.value / height)
  const fitting = props.whole && few.value && exactly > 1 ? Math.floor(exactly) : exactly
  const scale = props.look.zoom === 'fit' ? fitting : props.look.zoom / devicePixelRatio
  return { width: Math.round(width * scale), height: Math.round(height * scale) }
})
const wantedWidth = computed(() => {
  const wide = props.look.zoom === 'fit' ? seen.value.width * devicePixelRatio : canvas.value.width
  const enough = WIDTHS.find((each) => each >= wide) ?? WIDTHS.at(-1)!
  const most = WIDTHS.findLast(
    (each) => each * each * (canvas.value.height / canvas.value.width) * looks.value.length <= MOST_PIXELS,
  )
  return Math.min(enough, most ?? SMALL, canvas.value.width)
})
/** Where large ones are not much larger there is no need of them. */
const smallWanted = computed(() => (wantedWidth.value > 2 * SMALL ? looks.value : []))
const small = useFrameImages(() => store.reel?.id, smallWanted, SMALL, from, { first: 'seen', others: 'seen' })
const large = useFrameImages(() => store.reel?.id, looks, wantedWidth, from, { first: 'now', others: 'ahead' })
const shown = computed(() => {
  const drawn = playhead.frame?.drawn ?? ''
  return large.get(drawn) ?? small.get(drawn)
})
const width = computed(() => Math.max(1, wantedWidth.value))
const height = computed(() => Math.max(1, Math.round((width.value * canvas.value.height) / canvas.value.width)))

/** Larger than its room, it is seen from its middle. */
watchPostEffect(() => {
  const room = stage.value
  if (room && (seen.value.width > stageWidth.value || seen.value.height > stageHeight.value)) {
    room.scrollTo((room.scrollWidth - room.clientWidth) / 2, (room.scrollHeight - room.clientHeight) / 2)
  }
})

watchPostEffect(() => {
  const pen = surface.value?.getContext('2d')
  if (pen && (shown.value || store.frames.length === 0)) {
    pen.clearRect(0, 0, width.value, height.value)
  }
  if (pen && shown.value) {
    pen.drawImage(shown.value, 0, 0, width.value, height.value)
    const drawn = playhead.frame?.drawn ?? ''
    if (large.get(drawn) === shown.value) {
      emit('sharp', drawn)
    }
  }
})
</script>

<template>
  <div
    ref="stage"
    class="stage"
    :class="{ checker: look.ground === '' }"
    :style="look.ground === '' ? {} : { background: look.ground === 'paper' ? 'var(--paper)' : `#${look.ground}` }"
  >
    <canvas
      ref="surface"
      :width="width"
      :height="height"
      role="img"
      :class="{ hard: hard || few || (look.zoom !== 'fit' && look.zoom > 1) || wantedWidth < 160 }"
      :style="{ width: `${seen.width}px`, height: `${seen.height}px` }"
      :aria-label="store.frames.length ? `Frame ${playhead.index + 1} of ${store.frames.length}` : 'No frames'"
    />
  </div>
</template>

<style scoped>
.stage {
  display: grid;
  place-content: safe center;
  min-height: 0;
  overflow: auto;
  border-radius: var(--round);
}

canvas {
  display: block;
}

.hard {
  image-rendering: pixelated;
}
</style>
