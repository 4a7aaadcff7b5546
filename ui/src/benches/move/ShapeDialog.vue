<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { drawnArt } from '@/api/client'
import { limits } from '@/api/limits'
import type { Shape } from '@/api/types'
import DialogCard from '@/parts/DialogCard.vue'
import ColorField from '@/parts/ColorField.vue'
import NumberField from '@/parts/NumberField.vue'
import { useAsking } from './asking'
import { useDraft } from '@/reel/draft'
import { useReel } from '@/reel/store'
import FillFields from './FillFields.vue'
import { useFrameBehind } from './frameBehind'
import { useMoving } from './moving'
import { FORMS } from './words'

/** A shape for a new cut-out, or that of one there is. */
const FIRST_SIZE_SHARE = 0.3
const PREVIEW_WIDTH = 640

const store = useReel()
const asking = useAsking()
const moving = useMoving()
const behind = useFrameBehind()
const shown = asking.isShown('shape')
const shape = ref<Shape>(fresh())
const preview = useDraft(
  () => (shown.value ? shape.value : null),
  (art) => drawnArt(store.reel!.id, art, PREVIEW_WIDTH),
)

function fresh(): Shape {
  const side = Math.max(4, Math.round((store.reel?.canvas.height ?? 320) * FIRST_SIZE_SHARE))
  return {
    kind: 'shape',
    form: 'ELLIPSE',
    shapeWidth: side,
    shapeHeight: side,
    points: 5,
    round: 0,
    fill: { kind: 'fill', color: 'b23e28', toColor: '', angle: 90 },
    stroke: 0,
    strokeColor: '1e2a32',
  }
}

const open = computed(() => shape.value.form === 'LINE' || shape.value.form === 'ARROW')
const cornered = computed(() => shape.value.form === 'POLYGON' || shape.value.form === 'STAR')
const changed = computed(() => moving.cutouts.find((each) => each.id === asking.artOf))
const title = computed(() => FORMS.find(({ value }) => value === shape.value.form)?.title ?? 'Shape')
watch(shown, (now) => {
  if (now) {
    shape.value = changed.value?.art.kind === 'shape' ? { ...changed.value.art } : fresh()
  }
})
watch(open, (line) => {
  if (line && shape.value.stroke < 1) {
    shape.value.stroke = 6
  }
})

function done(): Promise<boolean> {
  const art = { ...shape.value }
  return changed.value
    ? store.dispatch({ type: 'setArt', cutout: changed.value.id, art })
    : moving.add(title.value, art)
}
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="changed ? `Shape of ${changed.name}` : 'New shape'"
    :verb="changed ? 'Change' : 'Add'"
    :width="820"
    :done="done"
  >
    <div class="sides">
      <div class="settings">
        <div class="row">
          <v-select
            v-model="shape.form"
            :items="FORMS"
            label="Form"
            variant="outlined"
            density="compact"
            hide-details
          />
          <number-field
            v-if="cornered"
            :value="shape.points"
            label="Points"
            labelled
            v-bind="limits.Shape.points"
            class="size"
            @done="(points) => (shape.points = points)"
          />
          <number-field
            v-if="shape.form === 'RECTANGLE'"
            :value="shape.round"
            label="Corners"
            labelled
            suffix="px"
            v-bind="limits.Shape.round"
            class="size"
            @done="(round) => (shape.round = round)"
          />
        </div>
        <div class="row">
          <number-field
            :value="shape.shapeWidth"
            label="Width"
            labelled
            suffix="px"
            v-bind="limits.Shape.shapeWidth"
            class="size"
            @done="(width) => (shape.shapeWidth = width)"
          />
          <number-field
            v-if="!open"
            :value="shape.shapeHeight"
            label="Height"
            labelled
            suffix="px"
            v-bind="limits.Shape.shapeHeight"
            class="size"
            @done="(height) => (shape.shapeHeight = height)"
          />
        </div>
        <fill-fields v-if="!open" v-model="shape.fill" label="Fill" />
        <div class="row">
          <number-field
            :value="shape.stroke"
            label="Stroke"
            labelled
            suffix="px"
            :min="open ? 1 : 0"
            :max="limits.Shape.stroke.max"
            :decimals="1"
            class="size"
            @done="(stroke) => (shape.stroke = stroke)"
          />
          <color-field v-if="shape.stroke > 0" v-model="shape.strokeColor" label="Stroke color" />
        </div>
      </div>
      <div class="preview checker" :style="behind">
        <img v-if="preview" :src="preview" alt="The shape as it will look" />
      </div>
    </div>
  </dialog-card>
</template>

<style scoped src="@/parts/two-sides.css"></style>
