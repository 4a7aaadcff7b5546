<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, watch, watchEffect } from 'vue'
import { layerUrl } from '@/api/urls'
import QueuedPicture from '@/parts/QueuedPicture.vue'
import { hasFewPixels } from '@/parts/fewPixels'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import LoopStage from '@/stage/LoopStage.vue'
import { usePage } from '@/stage/pages'
import { useDrawing } from './drawing'
import EaselMarks from './EaselMarks.vue'
import { useHand } from './hand'
import { useHeldSpace } from './heldSpace'
import { useInkSurface } from './inkSurface'
import { useKeyPen } from './keyPen'
import { inkName } from './layers'
import { usePageView } from './pageView'
import type { Place } from './pageView'
import { usePens } from './pens'
import { usePointers } from './pointers'
import { useSeenColor } from './seenColor'
import { paintShining, shining } from './shine'
import { useTaken } from './taken'

/** The page that is drawn on, as large as it fits: what lies under the ink, what shines through, the ink, what lies over it. */
const emit = defineEmits<{ words: [at: Place] }>()
const GRID_FROM = 6

const store = useReel()
const playhead = usePlayhead()
const drawing = useDrawing()
const pens = usePens()
const taken = useTaken()
const easel = ref<HTMLElement | null>(null)
const inkCanvas = ref<HTMLCanvasElement | null>(null)
const shineCanvas = ref<HTMLCanvasElement | null>(null)
const { width, height } = useElementSize(easel)
const canvas = computed(() => drawing.canvas)
const room = computed(() => ({ width: width.value, height: height.value }))
const few = computed(() => hasFewPixels(canvas.value))
const view = usePageView(canvas, room, few)
const ink = useInkSurface(inkCanvas)
const page = usePage()
const words = ref<Place | null>(null)
const hand = useHand(ink, useSeenColor(), words)
const keyPen = useKeyPen(hand)
const space = useHeldSpace()
const pointers = usePointers(easel, view, hand, keyPen, space)

watch(words, (at) => {
  if (at) {
    emit('words', at)
    words.value = null
  }
})
watchEffect(() => taken.setScale(view.scale.value))

const place = computed(() => ({
  width: `${canvas.value.width * view.scale.value}px`,
  height: `${canvas.value.height * view.scale.value}px`,
  transform: `translate(-50%, -50%) translate(${view.offset.value.x}px, ${view.offset.value.y}px) rotate(${view.turn.value}deg)`,
}))
const grid = computed(() => drawing.settings.grid && view.scale.value >= GRID_FROM && (few.value || pens.pen.hard))
const gridStyle = computed(() => ({ backgroundSize: `${view.scale.value}px ${view.scale.value}px` }))
const hard = computed(() => few.value || view.scale.value * devicePixelRatio >= 3)
const under = computed(() => (drawing.frame && store.reel ? layerUrl(store.reel.id, drawing.frame.underInk) : ''))
const over = computed(() =>
  drawing.frame?.overInk && store.reel ? layerUrl(store.reel.id, drawing.frame.overInk) : '',
)
const stageLook = computed(() => ({ zoom: 'fit' as const, ground: page.value.slice(1) }))

const shines = computed(() => {
  const { before, after, strength, round, shines: on, lit } = drawing.settings
  return on && store.reel && !playhead.playing
    ? { pages: shining(store.frames, playhead.index, before, after, strength / 100, round), lit }
    : { pages: [], lit: false }
})
/** What is seen of other pages: a mark on this one does not change it. */
const shineKey = computed(
  () =>
    shines.value.pages.map(({ frame, color, strength }) => `${inkName(frame.ink)} ${color} ${strength}`).join() +
    shines.value.lit,
)
let shineTurn = 0
watch(
  [shineKey, shineCanvas, canvas],
  () => {
    const mine = ++shineTurn
    const pen = shineCanvas.value?.getContext('2d')
    if (pen && store.reel) {
      void paintShining(
        pen,
        store.reel.id,
        shines.value.pages,
        canvas.value,
        shines.value.lit,
        () => mine === shineTurn,
      )
    }
  },
  { flush: 'post' },
)

const label = computed(
  () =>
    `Easel: page ${playhead.index + 1} of ${store.frames.length}. Arrow keys move the pen, Enter puts it down and lifts it.`,
)
defineExpose({ view, focus: () => easel.value?.focus() })
</script>

<template>
  <div
    ref="easel"
    class="easel"
    :class="[drawing.hand, { panning: space.isDown.value }]"
    tabindex="0"
    role="application"
    :aria-label="label"
    @pointerdown="pointers.onDown"
    @pointermove="pointers.onMove"
    @pointerup="pointers.onUp"
    @pointercancel="pointers.onCancel"
    @wheel.prevent="pointers.onWheel"
    @keydown="keyPen.onKey"
    @contextmenu.prevent
  >
    <loop-stage v-if="playhead.playing" :look="stageLook" :hard="few" whole class="playing" />
    <div v-show="!playhead.playing" class="sheet" :class="{ hard }" :style="[place, { background: page }]">
      <queued-picture v-if="under" :src="under" class="layer" />
      <canvas
        ref="shineCanvas"
        class="layer"
        :width="canvas.width"
        :height="canvas.height"
        aria-hidden="true"
        data-test="shine"
      />
      <canvas
        ref="inkCanvas"
        class="layer"
        :width="canvas.width"
        :height="canvas.height"
        role="img"
        aria-label="Ink of this page"
        data-test="ink"
        :data-ink="ink.picture.value"
      />
      <queued-picture v-if="over" :src="over" class="layer" />
      <div v-if="grid" class="layer grid" :style="gridStyle" />
      <easel-marks
        class="layer"
        :canvas="canvas"
        :scale="view.scale.value"
        :pulled="hand.pulled.value"
        :hand-down="hand.isDown.value"
        :cursor="keyPen.cursor.value"
        :cursor-down="keyPen.isDown.value"
      />
    </div>
  </div>
</template>

<style scoped>
.easel {
  position: relative;
  overflow: hidden;
  height: 100%;
  border-radius: var(--round);
  touch-action: none;
  cursor: crosshair;
}

.easel:focus-visible {
  outline: none;
}

.easel:focus-visible .sheet {
  outline: 3px solid color-mix(in srgb, var(--ink) 78%, var(--rein));
}

.easel.panning {
  cursor: grab;
}

.easel.take {
  cursor: default;
}

.playing {
  position: absolute;
  inset: 12px;
  pointer-events: none;
}

.sheet {
  position: absolute;
  top: 50%;
  left: 50%;
  box-shadow: var(--shade);
  outline: 1px solid var(--line);
}

.layer {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
  user-select: none;
}

.hard .layer {
  image-rendering: pixelated;
}

.grid {
  background-image:
    linear-gradient(to right, #80808066 1px, transparent 1px),
    linear-gradient(to bottom, #80808066 1px, transparent 1px);
}
</style>
