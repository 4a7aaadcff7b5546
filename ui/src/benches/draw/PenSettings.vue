<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'
import { limits } from '@/api/limits'
import NumberField from '@/parts/NumberField.vue'
import { useDrawing } from './drawing'
import { usePens } from './pens'
import SwatchTools from './SwatchTools.vue'

/** What is seldom changed of the pen that is taken. */
const MIRRORS = [
  { value: 'NONE', title: 'off' },
  { value: 'LEFT_RIGHT', title: 'left and right' },
  { value: 'UP_DOWN', title: 'up and down' },
  { value: 'BOTH', title: 'both' },
] as const

const drawing = useDrawing()
const pens = usePens()
</script>

<template>
  <div class="part extra" role="group" aria-label="More of this pen">
    <v-text-field
      :model-value="pens.pen.name"
      label="Name"
      variant="outlined"
      density="compact"
      hide-details
      class="named"
      maxlength="20"
      @change="(event: Event) => pens.change({ name: (event.target as HTMLInputElement).value || 'Pen' })"
    />
    <number-field
      :value="pens.pen.opacity"
      label="Opacity"
      labelled
      suffix="%"
      v-bind="limits.Pen.opacity"
      variant="outlined"
      density="compact"
      hide-details="auto"
      class="number wide"
      @done="(opacity) => pens.change({ opacity })"
    />
    <number-field
      :value="pens.pen.softness"
      label="Soft edge"
      labelled
      suffix="%"
      v-bind="limits.Pen.softness"
      variant="outlined"
      density="compact"
      hide-details="auto"
      class="number wide"
      @done="(softness) => pens.change({ softness })"
    />
    <number-field
      :value="pens.pen.steady"
      label="Steadies"
      labelled
      suffix="%"
      :min="0"
      :max="100"
      variant="outlined"
      density="compact"
      hide-details="auto"
      class="number wide"
      @done="(steady) => pens.change({ steady })"
    />
    <number-field
      :value="pens.pen.pressed"
      label="Pressure"
      labelled
      suffix="%"
      :min="0"
      :max="100"
      variant="outlined"
      density="compact"
      hide-details="auto"
      class="number wide"
      @done="(pressed) => pens.change({ pressed })"
    />
    <v-checkbox
      :model-value="pens.pen.hard"
      label="whole pixels"
      density="compact"
      hide-details
      @update:model-value="(on) => pens.change({ hard: on === true })"
    />
    <span class="quiet">mirror</span>
    <v-btn
      v-for="each in MIRRORS"
      :key="each.value"
      size="small"
      variant="outlined"
      class="chip"
      :active="drawing.settings.mirroring === each.value"
      :aria-pressed="drawing.settings.mirroring === each.value"
      @click="drawing.set({ mirroring: each.value })"
      >{{ each.title }}</v-btn
    >
    <swatch-tools />
    <v-btn
      size="small"
      variant="outlined"
      :prepend-icon="mdiDeleteOutline"
      :disabled="pens.pens.length < 2"
      @click="pens.drop()"
      >Put this pen away</v-btn
    >
  </div>
</template>

<style scoped src="./tray.css"></style>
