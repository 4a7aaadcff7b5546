<script setup lang="ts">
import { vRadios } from '@/parts/radios'
import { useDrawing } from './drawing'
import { AFTER, BEFORE } from './shine'

/** Which neighboring pages shine through, and how strongly. */
const COUNTS = [0, 1, 2, 3, 99]

const drawing = useDrawing()

const countText = (count: number): string => (count === 99 ? 'all' : String(count))
</script>

<template>
  <div class="part shine">
    <div class="row">
      <b>Shining through</b>
      <v-btn
        size="x-small"
        variant="outlined"
        class="chip right"
        :active="drawing.settings.round"
        :aria-pressed="drawing.settings.round"
        :disabled="!drawing.settings.shines"
        title="Before the first page comes the last"
        @click="drawing.set({ round: !drawing.settings.round })"
        >over the seam</v-btn
      >
      <v-switch
        :model-value="drawing.settings.shines"
        density="compact"
        hide-details
        color="primary"
        aria-label="Pages shine through"
        @update:model-value="(on) => drawing.set({ shines: on === true })"
      />
    </div>
    <div
      v-for="side in ['before', 'after'] as const"
      :key="side"
      v-radios
      class="row"
      role="radiogroup"
      :aria-label="`Pages ${side}`"
    >
      <span
        class="mark"
        :class="side"
        :style="{ background: `#${side === 'before' ? BEFORE : AFTER}` }"
        aria-hidden="true"
      /><span class="side">{{ side }}</span>
      <v-btn
        v-for="count in COUNTS"
        :key="count"
        size="x-small"
        variant="outlined"
        class="chip count"
        role="radio"
        :active="drawing.settings[side] === count"
        :aria-checked="drawing.settings[side] === count"
        :disabled="!drawing.settings.shines"
        @click="drawing.set({ [side]: count })"
        >{{ countText(count) }}</v-btn
      >
    </div>
    <div class="row">
      <span class="quiet label">strength</span>
      <v-slider
        :model-value="drawing.settings.strength"
        :min="5"
        :max="100"
        :step="5"
        hide-details
        color="primary"
        density="compact"
        aria-label="How strongly pages shine through"
        :disabled="!drawing.settings.shines || drawing.settings.lit"
        @update:model-value="(strength: number) => drawing.set({ strength })"
      />
      <v-btn
        size="x-small"
        variant="outlined"
        class="chip"
        :active="drawing.settings.lit"
        :aria-pressed="drawing.settings.lit"
        :disabled="!drawing.settings.shines"
        title="As on a light table: all pages undimmed, in their own colors"
        @click="drawing.set({ lit: !drawing.settings.lit })"
        >light table</v-btn
      >
    </div>
  </div>
</template>

<style scoped src="./tray.css"></style>
