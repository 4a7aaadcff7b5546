<script setup lang="ts">
import { useElementSize, useLocalStorage } from '@vueuse/core'
import { computed, ref, watch, watchPostEffect } from 'vue'
import { fileFrameUrl, fileNowUrl, trialUrl } from '@/api/urls'
import type { FrameSight } from '@/api/urls'
import { bytesText } from '@/parts/format'
import { usePointerDrag } from '@/parts/pointerDrag'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import PageColors from '@/stage/PageColors.vue'
import { usePage } from '@/stage/pages'
import { useFilePictures } from './filePictures'
import { useSlimming } from './slimming'

/** The true file as it is set, beside what was drawn: playing, wiped against it, or where the two differ. */
const LOOKS = [
  { value: 'file', title: 'File', key: '1', about: 'The delivered file itself, playing' },
  { value: 'wipe', title: 'Wipe', key: '2', about: 'Drawn on the left, delivered on the right' },
  {
    value: 'heat',
    title: 'Difference',
    key: '3',
    about: 'Where it differs from what was drawn: amber is seen, dark is plain to see',
  },
] as const
const ZOOMS = [
  { value: 0, title: 'fit' },
  { value: 1, title: '1×' },
  { value: 2, title: '2×' },
  { value: 4, title: '4×' },
]
/** So many pixels of pictures are kept ready for playing. */
const MOST_PIXELS = 40_000_000
const STEP = 0.02

const store = useReel()
const playhead = usePlayhead()
const slimming = useSlimming()
const page = usePage()
const look = useLocalStorage<(typeof LOOKS)[number]['value']>('dobbin.slim.look', 'wipe')
const zoom = useLocalStorage('dobbin.slim.zoom', 0)
const split = ref(0.5)
const room = ref<HTMLElement | null>(null)
const surface = ref<HTMLCanvasElement | null>(null)
const { width: roomWidth, height: roomHeight } = useElementSize(room)
const drag = usePointerDrag()

const size = computed(() => store.reel?.deliveredSize ?? { width: 3, height: 2 })
/** What was made last stays in sight while the next is made: the file plays on, and a frame stays drawn. */
const madeFile = ref<string | null>(null)
const madeSize = ref(size.value)
watch(
  () => slimming.file,
  (file) => {
    if (file) {
      madeFile.value = file
      madeSize.value = size.value
    }
  },
  { immediate: true },
)
const isOld = computed(() => slimming.working && madeFile.value !== null)

const scale = computed(() => {
  const fitting = Math.min(roomWidth.value / size.value.width, roomHeight.value / size.value.height)
  return zoom.value === 0 ? fitting : zoom.value / devicePixelRatio
})
const seen = computed(() => ({
  width: Math.max(1, Math.round(size.value.width * scale.value)),
  height: Math.max(1, Math.round(size.value.height * scale.value)),
}))

/** Which of the delivered frames shows at each frame of the reel. */
const places = computed(() => {
  const every = store.reel?.delivery.framing.every ?? 1
  let played = -1
  return store.frames.map((frame) => {
    played += frame.leftOut ? 0 : 1
    return Math.floor(Math.max(0, played) / every)
  })
})
const place = computed(() => places.value[playhead.index] ?? 0)
const plays = computed(() => look.value === 'file' && playhead.playing)
const sights = computed<FrameSight[]>(() =>
  look.value === 'wipe' ? ['drawn', 'delivered'] : look.value === 'heat' ? ['heat'] : ['delivered'],
)

function urlOf(at: number, sight: FrameSight): string {
  return fileFrameUrl(store.reel?.id ?? '', madeFile.value ?? '', at, sight)
}

/** From the playhead on, as many as there is room for. */
const wanted = computed(() => {
  // Frames of a file are there once its facts are.
  if (
    !madeFile.value ||
    slimming.factsOf !== madeFile.value ||
    plays.value ||
    isOld.value ||
    store.frames.length === 0
  ) {
    return []
  }
  const frames = Math.max(0, ...places.value) + 1
  const most = Math.max(
    1,
    Math.min(frames, Math.floor(MOST_PIXELS / (size.value.width * size.value.height * sights.value.length))),
  )
  return Array.from(
    { length: playhead.playing ? most : Math.min(2, most) },
    (_, i) => (place.value + i) % frames,
  ).flatMap((at) => sights.value.map((sight) => urlOf(at, sight)))
})
const pictures = useFilePictures(wanted)

watchPostEffect(() => {
  const pen = surface.value?.getContext('2d')
  const [first, second] = sights.value.map((sight) => pictures.get(urlOf(place.value, sight)))
  const { width, height } = madeSize.value
  if (!pen || !first || (look.value === 'wipe' && !second)) {
    return
  }
  pen.clearRect(0, 0, width, height)
  if (second) {
    const at = Math.round(width * split.value)
    pen.drawImage(first, 0, 0, at, height, 0, 0, at, height)
    pen.drawImage(second, at, 0, width - at, height, at, 0, width - at, height)
  } else {
    pen.drawImage(first, 0, 0)
  }
})

const badge = computed(() => {
  if (slimming.shown && store.reel) {
    return `worst frame of ${bytesText(slimming.shown.bytes)}`
  }
  return isOld.value ? 'being made: this is the one before' : ''
})

function wipe(event: PointerEvent): void {
  const box = surface.value?.getBoundingClientRect()
  if (box && event.button === 0) {
    drag.press(event, {
      far: 0,
      move: (now) => (split.value = Math.max(0, Math.min(1, (now.event.clientX - box.left) / box.width))),
    })
  }
}

function onKey(event: KeyboardEvent): void {
  const by = STEP * (event.shiftKey ? 5 : 1)
  const to = { ArrowLeft: split.value - by, ArrowRight: split.value + by, Home: 0, End: 1 }[event.key]
  if (to !== undefined) {
    event.preventDefault()
    split.value = Math.max(0, Math.min(1, to))
  }
}

defineExpose({ look: (at: number) => (look.value = LOOKS[at]?.value ?? look.value) })
</script>

<template>
  <section class="compare" aria-label="The file beside what was drawn">
    <div class="head">
      <v-btn-toggle
        v-model="look"
        mandatory
        density="compact"
        variant="outlined"
        divided
        color="primary"
        aria-label="What is looked at"
      >
        <v-btn
          v-for="each in LOOKS"
          :key="each.value"
          :value="each.value"
          size="small"
          :title="`${each.about} (${each.key})`"
          >{{ each.title }}</v-btn
        >
      </v-btn-toggle>
      <v-btn-toggle
        v-model="zoom"
        mandatory
        density="compact"
        variant="outlined"
        divided
        color="primary"
        aria-label="How large it is looked at"
      >
        <v-btn v-for="each in ZOOMS" :key="each.value" :value="each.value" size="small">{{ each.title }}</v-btn>
      </v-btn-toggle>
      <page-colors class="pages" />
    </div>
    <div
      ref="room"
      class="room"
      :style="{ background: look === 'heat' ? 'var(--sunk)' : page }"
      tabindex="0"
      role="group"
      aria-label="Page with the file"
    >
      <div
        v-if="madeFile && store.reel && store.frames.length > 0"
        class="place"
        :class="{ hard: zoom > 0 || scale > 2 }"
        :style="{ width: `${seen.width}px`, height: `${seen.height}px` }"
      >
        <img
          v-if="slimming.shown"
          class="picture"
          :src="trialUrl(store.reel.id, slimming.shown.id)"
          alt="The worst frame of the setting that is pointed at"
        />
        <img
          v-else-if="plays"
          class="picture"
          :src="fileNowUrl(store.reel.id, madeFile)"
          alt="The delivered file, playing"
        />
        <canvas
          v-show="!plays && !slimming.shown"
          ref="surface"
          class="picture"
          :width="madeSize.width"
          :height="madeSize.height"
          role="img"
          :aria-label="`Frame ${playhead.index + 1}, ${look === 'wipe' ? 'drawn on the left, delivered on the right' : look === 'heat' ? 'where it differs' : 'delivered'}`"
        />
        <template v-if="look === 'wipe' && !slimming.shown && !isOld">
          <span class="tag left" :class="{ away: split < 0.16 }">drawn</span>
          <span class="tag right" :class="{ away: split > 0.8 }">delivered</span>
          <div
            class="wipe"
            role="slider"
            tabindex="0"
            aria-label="Wipe between drawn and delivered"
            aria-valuemin="0"
            aria-valuemax="100"
            :aria-valuenow="Math.round(split * 100)"
            :aria-valuetext="`${Math.round(split * 100)} % drawn`"
            :style="{ left: `${split * 100}%` }"
            @pointerdown="wipe"
            @keydown="onKey"
          />
        </template>
        <span v-if="badge" class="tag badge" role="status">{{ badge }}</span>
      </div>
      <p v-else-if="store.frames.length === 0" class="none">
        No frames yet. Add stills on the Sheet, and their file shows here.
      </p>
      <p v-else-if="store.weight?.problem" class="none" role="alert">{{ store.weight.problem }}</p>
      <v-progress-circular v-else indeterminate aria-label="The file is being made" />
    </div>
  </section>
</template>

<style scoped>
.compare {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 8px;
  min-height: 0;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}

.head :deep(.v-btn) {
  min-width: 0;
  padding-inline: 10px;
}

.pages {
  margin-left: auto;
}

.room {
  display: grid;
  place-items: safe center;
  overflow: auto;
  min-height: 110px;
  border: 1px solid var(--line);
  border-radius: 14px;
}

.place {
  position: relative;
}

.picture {
  position: absolute;
  inset: 0;
  display: block;
  width: 100%;
  height: 100%;
}

.hard .picture {
  image-rendering: pixelated;
}

.tag {
  position: absolute;
  top: 8px;
  padding: 2px 9px;
  border-radius: 11px;
  background: var(--ink);
  color: var(--card);
  font-size: 12px;
  pointer-events: none;
  white-space: nowrap;
}

.left {
  left: 8px;
}

.right {
  right: 8px;
}

.away {
  visibility: hidden;
}

.badge {
  top: auto;
  bottom: 8px;
  left: 50%;
  transform: translateX(-50%);
}

.wipe {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 28px;
  cursor: ew-resize;
  touch-action: none;
  transform: translateX(-50%);
}

.wipe::before {
  position: absolute;
  inset: 0 auto 0 50%;
  width: 3px;
  background: var(--card);
  box-shadow: 0 0 0 1px var(--ink);
  content: '';
  transform: translateX(-50%);
}

.none {
  margin: 16px;
  padding: 8px 14px;
  border-radius: var(--round);
  background: var(--card);
  text-align: center;
}
</style>
