<script setup lang="ts">
import { mdiCrop } from '@mdi/js'
import { computed } from 'vue'
import { limits } from '@/api/limits'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'
import { useSlimming } from './slimming'

/** How large the pictures are, and which part of the canvas they show. */
const emit = defineEmits<{ crop: [] }>()
const USUAL_WIDTHS = [240, 320, 400, 480, 640, 800]
const FACTORS = [2, 3, 4, 6, 8, 10, 12, 16, 20]
const PERCENT = { min: 1, max: 400 }

const store = useReel()
const slimming = useSlimming()
const framing = computed(() => slimming.delivery!.framing)
const size = computed(() => store.reel!.deliveredSize)
const part = computed(() => {
  const { crop } = framing.value
  return crop.width === 0 ? store.reel!.canvas : { width: crop.width, height: crop.height }
})
const most = computed(() => store.reel!.maxWidth)
const widths = computed(() =>
  USUAL_WIDTHS.filter((width) => width !== part.value.width && width <= Math.max(part.value.width, 480)),
)
const factors = computed(() =>
  FACTORS.filter((factor) => factor * Math.max(part.value.width, part.value.height) <= most.value),
)
const percent = computed(() => Math.round((100 * size.value.width) / part.value.width))
const isHard = computed(() => framing.value.scaling === 'HARD')

const setWidth = (width: number): Promise<boolean> => slimming.changeFraming({ width, height: 0, enlarge: 1 })
const setHeight = (height: number): Promise<boolean> => slimming.changeFraming({ width: 0, height, enlarge: 1 })
const setPercent = (share: number): Promise<boolean> =>
  setWidth(Math.max(1, Math.min(most.value, Math.round((part.value.width * share) / 100))))
const enlarge = (factor: number): Promise<boolean> => slimming.changeFraming({ width: 0, height: 0, enlarge: factor })
</script>

<template>
  <div class="panel">
    <div class="row">
      <number-field
        :value="size.width"
        label="Width"
        labelled
        suffix="px"
        :min="1"
        :max="limits.Framing.width.max"
        :step="10"
        class="field"
        @done="setWidth"
      />
      <number-field
        :value="size.height"
        label="Height"
        labelled
        suffix="px"
        :min="1"
        :max="limits.Framing.height.max"
        :step="10"
        class="field"
        @done="setHeight"
      />
      <number-field
        :value="percent"
        label="Of the canvas"
        labelled
        suffix="%"
        :min="PERCENT.min"
        :max="PERCENT.max"
        :step="5"
        class="field"
        @done="setPercent"
      />
      <v-btn
        size="small"
        variant="outlined"
        :prepend-icon="mdiCrop"
        :disabled="store.frames.length === 0"
        @click="emit('crop')"
        >{{ framing.crop.width === 0 ? 'Crop' : `Crop: ${framing.crop.width} × ${framing.crop.height}` }}</v-btn
      >
    </div>
    <div class="row" role="group" aria-label="Common widths">
      <v-btn
        size="small"
        variant="outlined"
        class="chip"
        :active="framing.width + framing.height === 0 && framing.enlarge === 1"
        :aria-pressed="framing.width + framing.height === 0 && framing.enlarge === 1"
        title="As wide as the canvas up to 800 px, else 480"
        @click="setWidth(0)"
        >as the canvas</v-btn
      >
      <v-btn
        v-for="width in widths"
        :key="width"
        size="small"
        variant="outlined"
        class="chip"
        :active="framing.width === width"
        :aria-pressed="framing.width === width"
        @click="setWidth(width)"
        >{{ width }}</v-btn
      >
    </div>
    <div v-if="factors.length > 0" class="row" role="group" aria-label="Enlarge with hard pixels">
      <span class="quiet">enlarge</span>
      <v-btn
        v-for="factor in factors"
        :key="factor"
        size="small"
        variant="outlined"
        class="chip"
        :active="framing.enlarge === factor"
        :aria-pressed="framing.enlarge === factor"
        @click="enlarge(factor)"
        >×{{ factor }}</v-btn
      >
    </div>
    <v-switch
      :model-value="isHard || framing.enlarge > 1"
      :disabled="framing.enlarge > 1"
      label="Hard pixels: one of the canvas each, none mixed"
      color="primary"
      density="compact"
      hide-details
      @update:model-value="(hard) => slimming.changeFraming({ scaling: hard ? 'HARD' : 'SMOOTH' })"
    />
    <p class="quiet">Half the width is about a third of the weight.</p>
  </div>
</template>

<style scoped src="./panel.css"></style>
