<script setup lang="ts">
import { mdiContentCut, mdiImageSizeSelectSmall } from '@mdi/js'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, onMounted } from 'vue'
import { answer, api } from '@/api/client'
import { overlayUrl } from '@/api/urls'
import { say, sayProblem } from '@/ground/messages'
import { useLayer } from '@/ground/layers'
import NumberField from '@/parts/NumberField.vue'
import { usePointerDrag } from '@/parts/pointerDrag'
import { useReel } from '@/reel/store'
import { HANDLES, RATIOS, useCropBox } from './cropping'
import type { Handle } from './cropping'
import { useSlimming } from './slimming'

/** The part that is delivered, chosen on all frames seen together. */
const emit = defineEmits<{ done: [] }>()
const store = useReel()
const slimming = useSlimming()
useLayer(ref(true))

const room = ref<HTMLElement | null>(null)
const boxElement = useTemplateRef<HTMLElement>('boxElement')
const { width: roomWidth, height: roomHeight } = useElementSize(room)
const canvas = computed(() => store.reel?.canvas ?? { width: 3, height: 2 })
const scale = computed(() =>
  Math.max(0.01, Math.min((roomWidth.value - 32) / canvas.value.width, (roomHeight.value - 32) / canvas.value.height)),
)
const { box, ratio, crop, take, moveTo, sizeTo, takeRatio } = useCropBox(
  () => canvas.value,
  () => slimming.delivery?.framing.crop ?? { x: 0, y: 0, width: 0, height: 0 },
)
const drag = usePointerDrag()
const busy = ref(false)
/** Whether the frames have been laid over one another. */
const seen = ref(false)
onMounted(() => boxElement.value?.focus())

function move(event: PointerEvent): void {
  const from = { ...box }
  drag.press(event, {
    far: 0,
    move: ({ from: start, to }) =>
      moveTo(from.x + (to.x - start.x) / scale.value, from.y + (to.y - start.y) / scale.value),
    cancel: () => take(from),
  })
}

function size(event: PointerEvent, handle: Handle): void {
  const from = { ...box }
  drag.press(event, {
    far: 0,
    move: ({ from: start, to }) => {
      const width = from.width + (handle.x * (to.x - start.x)) / scale.value
      const height = from.height + (handle.y * (to.y - start.y)) / scale.value
      take({ ...from })
      sizeTo(width, height, { x: -handle.x, y: -handle.y }, handle.x === 0 ? 'height' : 'width')
    },
    cancel: () => take(from),
  })
}

function onKey(event: KeyboardEvent): void {
  const by = event.shiftKey ? 10 : 1
  const { x, y } = {
    ArrowLeft: { x: -by, y: 0 },
    ArrowRight: { x: by, y: 0 },
    ArrowUp: { x: 0, y: -by },
    ArrowDown: { x: 0, y: by },
  }[event.key] ?? { x: 0, y: 0 }
  if (x !== 0 || y !== 0) {
    event.preventDefault()
    if (event.altKey) {
      sizeTo(box.width + x, box.height + y, { x: -1, y: -1 }, x === 0 ? 'height' : 'width')
    } else {
      moveTo(box.x + x, box.y + y)
    }
  } else if (event.key === 'Enter') {
    event.preventDefault()
    void apply()
  }
}

async function trim(): Promise<void> {
  const id = store.reel?.id
  if (!id) {
    return
  }
  busy.value = true
  try {
    const { crop: found } = await answer(api.POST('/api/reels/{id}/trims', { params: { path: { id } } }))
    if (found.width === 0 || (found.width === canvas.value.width && found.height === canvas.value.height)) {
      say('There is nothing to trim: every edge shows something that matters.')
    } else {
      ratio.value = 0
      take(found)
      say(`Trimmed to ${box.width} × ${box.height}.`)
    }
  } catch (failure) {
    sayProblem(failure)
  }
  busy.value = false
}

async function apply(): Promise<void> {
  if (await slimming.changeFraming({ crop: crop.value })) {
    emit('done')
  }
}

async function makeCanvas(): Promise<void> {
  if (await store.dispatch({ type: 'cropCanvas', x: box.x, y: box.y, width: box.width, height: box.height })) {
    say(`The canvas is ${box.width} × ${box.height} now, in every bench. Undo brings the rest back.`)
    emit('done')
  }
}
</script>

<template>
  <section class="crop" aria-label="Crop" @keydown.esc.stop="emit('done')">
    <div class="head">
      <v-btn-toggle
        :model-value="ratio"
        mandatory
        density="compact"
        variant="outlined"
        divided
        color="primary"
        aria-label="Ratio of the box"
        @update:model-value="takeRatio"
      >
        <v-btn v-for="each in RATIOS" :key="each.title" :value="each.ratio" size="small">{{ each.title }}</v-btn>
      </v-btn-toggle>
      <v-btn
        size="small"
        variant="outlined"
        :prepend-icon="mdiContentCut"
        :loading="busy"
        title="Leave out edges that show one color, or nothing, in every frame"
        @click="trim"
        >Trim</v-btn
      >
    </div>
    <div ref="room" class="room">
      <div
        v-if="store.reel"
        class="canvas"
        :style="{ width: `${canvas.width * scale}px`, height: `${canvas.height * scale}px` }"
      >
        <img
          :src="overlayUrl(store.reel.id, store.reel.revision)"
          alt="All frames seen together"
          draggable="false"
          @load="seen = true"
          @error="seen = true"
        />
        <v-progress-circular
          v-if="!seen"
          class="waiting"
          indeterminate
          aria-label="Laying the frames over one another"
        />
        <div
          ref="boxElement"
          class="box"
          tabindex="0"
          role="group"
          :aria-label="`Crop box, ${box.width} by ${box.height} at ${box.x}, ${box.y}. Arrow keys move it, with Alt they size it, Enter crops.`"
          :style="{
            left: `${box.x * scale}px`,
            top: `${box.y * scale}px`,
            width: `${box.width * scale}px`,
            height: `${box.height * scale}px`,
          }"
          @pointerdown.self="move"
          @keydown="onKey"
        >
          <span
            v-for="handle in HANDLES"
            :key="handle.name"
            class="handle"
            :class="{ edge: handle.x === 0 || handle.y === 0 }"
            aria-hidden="true"
            :style="{
              left: `${(handle.x + 1) * 50}%`,
              top: `${(handle.y + 1) * 50}%`,
              cursor:
                handle.x === 0
                  ? 'ns-resize'
                  : handle.y === 0
                    ? 'ew-resize'
                    : handle.x === handle.y
                      ? 'nwse-resize'
                      : 'nesw-resize',
            }"
            @pointerdown="size($event, handle)"
          />
        </div>
      </div>
    </div>
    <div class="foot">
      <number-field
        :value="box.x"
        label="Left"
        labelled
        suffix="px"
        :min="0"
        :max="canvas.width - box.width"
        class="number"
        @done="(x) => moveTo(x, box.y)"
      />
      <number-field
        :value="box.y"
        label="Top"
        labelled
        suffix="px"
        :min="0"
        :max="canvas.height - box.height"
        class="number"
        @done="(y) => moveTo(box.x, y)"
      />
      <number-field
        :value="box.width"
        label="Width"
        labelled
        suffix="px"
        :min="1"
        :max="canvas.width"
        class="number"
        @done="(width) => sizeTo(width, box.height, { x: -1, y: -1 })"
      />
      <number-field
        :value="box.height"
        label="Height"
        labelled
        suffix="px"
        :min="1"
        :max="canvas.height"
        class="number"
        @done="(height) => sizeTo(box.width, height, { x: -1, y: -1 }, 'height')"
      />
      <span class="ways">
        <v-btn
          size="small"
          :prepend-icon="mdiImageSizeSelectSmall"
          :disabled="crop.width === 0"
          title="Crop the material itself, cut-outs and all; undoable"
          @click="makeCanvas"
          >Make it the canvas</v-btn
        >
        <v-btn size="small" @click="emit('done')">Cancel</v-btn>
        <v-btn size="small" variant="flat" color="primary" @click="apply">{{
          crop.width === 0 ? 'Deliver all of it' : 'Crop'
        }}</v-btn>
      </span>
    </div>
  </section>
</template>

<style scoped>
.crop {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 8px;
  min-height: 0;
}

.head,
.foot,
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.ways {
  margin-left: auto;
}

.number {
  flex: 0 0 104px;
}

.room {
  display: grid;
  place-items: center;
  overflow: hidden;
  min-height: 200px;
  border: 1px solid var(--line);
  border-radius: 14px;
  background: var(--sunk);
}

.canvas {
  position: relative;
  overflow: clip;
  /* Handles at the edges stay whole. */
  overflow-clip-margin: 14px;
  background: repeating-conic-gradient(var(--checker) 0 25%, var(--card) 0 50%) 0 0 / 20px 20px;
}

img {
  display: block;
  width: 100%;
  height: 100%;
}

.waiting {
  position: absolute;
  top: calc(50% - 16px);
  left: calc(50% - 16px);
}

.box {
  position: absolute;
  box-shadow:
    0 0 0 2px var(--card),
    0 0 0 3px var(--ink),
    0 0 0 4000px #0008;
  cursor: move;
  touch-action: none;
}

.handle {
  position: absolute;
  width: 24px;
  height: 24px;
  touch-action: none;
  transform: translate(-50%, -50%);
}

.handle::before {
  position: absolute;
  inset: 6px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  background: var(--card);
  content: '';
}

.handle.edge::before {
  inset: 8px;
}
</style>
