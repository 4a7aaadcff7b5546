<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Edit, Fit, Size, Still } from '@/api/types'
import { drawnPicture } from '@/api/client'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { centered, settledFit, WAYS } from '@/parts/fits'
import NumberField from '@/parts/NumberField.vue'
import SizeField from '@/parts/SizeField.vue'
import { useArranging } from './arranging'
import { useAsking } from './asking'
import { useDraft } from '@/reel/draft'
import { usePointerDrag } from '@/parts/pointerDrag'
import { useReel } from '@/reel/store'

/** The size of the canvas, and how stills of other sizes lie on it. */
const PREVIEW_WIDTH = 320

const store = useReel()
const asking = useAsking()
const arranging = useArranging()
const shown = asking.isShown('fit')
const drag = usePointerDrag()

const stills = computed(() =>
  store.frames.filter((frame) => arranging.affected.includes(frame.id) && frame.content.kind === 'still'),
)
/** The first whose fit is seen: one of another size, where there is one. */
const example = computed(() => stills.value.find((frame) => frame.otherSize) ?? stills.value[0])
const exampleStill = computed(() => example.value?.content as Still | undefined)

const fit = ref<Fit>(centered('INSIDE'))
/** Placed by a crop is a way only for those that are. */
const ways = computed(() =>
  Object.entries(WAYS).filter(([way]) => way !== 'PLACED' || exampleStill.value?.fit.way === 'PLACED'),
)
const canvas = ref<Size>({ width: 1, height: 1 })
const preview = useDraft(
  () =>
    shown.value && exampleStill.value
      ? { content: { ...exampleStill.value, fit: settledFit(fit.value) }, canvas: canvas.value }
      : null,
  (draft) => drawnPicture(store.reel!.id, draft, PREVIEW_WIDTH),
)

watch(shown, (open) => {
  if (open && store.reel) {
    fit.value = { ...(exampleStill.value?.fit ?? fit.value) }
    canvas.value = { ...store.reel.canvas }
  }
})

const sizes = computed(() =>
  (store.reel?.stillSizes.slice(0, 4) ?? []).map(({ size, count }) => ({
    size,
    title: `${size.width} × ${size.height} · ${count} ${count === 1 ? 'still' : 'stills'}`,
  })),
)
/** What becomes of the delivered file with another canvas. */
const fileText = computed(() => {
  const reel = store.reel
  if (!reel || isCanvas(reel.canvas)) {
    return ''
  }
  const { crop, width, height, enlarge } = reel.delivery.framing
  if (crop.width > 0) {
    return 'The file shows what is left of its crop, as set on Slim.'
  }
  const set =
    width > 0 ? `${width} px wide` : height > 0 ? `${height} px high` : enlarge > 1 ? `enlarged ${enlarge} times` : ''
  return set === '' ? 'The file follows the canvas.' : `The file stays ${set}, as set on Slim.`
})
const hasFocus = computed(() => fit.value.way !== 'STRETCH' && fit.value.way !== 'PLACED')
const isCanvas = ({ width, height }: Size): boolean => width === canvas.value.width && height === canvas.value.height

function moveFocus(event: PointerEvent): void {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  if (hasFocus.value) {
    drag.press(event, { far: 0, move: (now) => focusAt(now.event, box) })
  }
}

function focusAt(event: PointerEvent, box: DOMRect): void {
  const share = (at: number, length: number): number => Math.round(Math.max(0, Math.min(1, at / length)) * 100) / 100
  fit.value.focusX = share(event.clientX - box.left, box.width)
  fit.value.focusY = share(event.clientY - box.top, box.height)
}

function done(): Promise<boolean> {
  const { width, height } = canvas.value
  const edits: Edit[] = []
  if (store.reel && !isCanvas(store.reel.canvas)) {
    edits.push({ type: 'setCanvas', width, height })
  }
  if (stills.value.length > 0) {
    edits.push({ type: 'setFit', frames: arranging.affected, fit: settledFit(fit.value) })
  }
  return store.together(edits, `Canvas ${width} × ${height} and fit`)
}
</script>

<template>
  <dialog-card v-model="shown" :title="`Canvas, and fit of ${asking.which}`" verb="Apply" :width="760" :done="done">
    <div class="sides">
      <div class="settings">
        <fieldset>
          <legend>Canvas</legend>
          <size-field v-model="canvas" :sizes="sizes" chips="Canvas from the stills" />
        </fieldset>
        <p v-if="fileText" class="quiet file">{{ fileText }}</p>
        <fieldset>
          <legend>Stills</legend>
          <v-radio-group v-model="fit.way" hide-details color="primary" density="compact" aria-label="Fit">
            <v-radio v-for="[way, { label, means }] in ways" :key="way" :value="way">
              <template #label
                ><span
                  ><b>{{ label }}</b> <span class="quiet">{{ means }}</span></span
                ></template
              >
            </v-radio>
          </v-radio-group>
        </fieldset>
        <fieldset v-if="hasFocus">
          <legend>Focus</legend>
          <div class="row">
            <number-field
              :value="Math.round(fit.focusX * 100)"
              label="Focus from the left"
              suffix="%"
              :min="0"
              :max="100"
              :step="5"
              @done="(value) => (fit.focusX = value / 100)"
            />
            <number-field
              :value="Math.round(fit.focusY * 100)"
              label="Focus from the top"
              suffix="%"
              :min="0"
              :max="100"
              :step="5"
              @done="(value) => (fit.focusY = value / 100)"
            />
          </div>
        </fieldset>
        <color-field v-model="fit.background" label="Background where nothing covers the canvas" none="None" />
      </div>
      <figure v-if="example">
        <div class="preview checker" :class="{ movable: hasFocus }" @pointerdown="moveFocus">
          <img v-if="preview" :src="preview" :alt="`${example.name} on the canvas`" draggable="false" />
          <span v-if="hasFocus" class="focus" :style="{ left: fit.focusX * 100 + '%', top: fit.focusY * 100 + '%' }" />
        </div>
        <figcaption class="quiet">
          {{ example.name }}, {{ exampleStill?.size.width }} × {{ exampleStill?.size.height
          }}{{ hasFocus ? '. Drag to move the focus.' : '' }}
        </figcaption>
      </figure>
    </div>
  </dialog-card>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 28px;
}

@media (max-width: 760px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}

.settings {
  display: grid;
  align-content: start;
  gap: 14px;
}

legend {
  margin-bottom: 6px;
  font-weight: 650;
}

.row {
  display: flex;
  align-items: center;
  gap: 8px;
}

figure {
  margin: 0;
}

.preview {
  position: relative;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
  touch-action: none;
}

.movable {
  cursor: move;
}

img {
  display: block;
  width: 100%;
}

.focus {
  position: absolute;
  width: 20px;
  height: 20px;
  margin: -10px;
  border: 3px solid #fff;
  border-radius: 50%;
  box-shadow: 0 0 0 2px #1e2a32;
  pointer-events: none;
}

figcaption {
  margin-top: 6px;
  font-size: 13px;
  overflow-wrap: anywhere;
}
</style>
