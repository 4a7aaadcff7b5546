<script setup lang="ts">
import { mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js'
import type { useStageView } from './stageView'

/** How near the stage is looked at. */
defineProps<{ view: ReturnType<typeof useStageView>; readout: string }>()
</script>

<template>
  <div class="zoom" role="group" aria-label="Zoom of the stage">
    <v-btn
      :icon="mdiMagnifyMinusOutline"
      size="x-small"
      aria-label="Zoom the stage out"
      title="Zoom out (−)"
      @click="view.zoomOut"
    />
    <button
      type="button"
      class="readout"
      :disabled="view.zoom.value === 1"
      title="Fit the canvas in (0)"
      :aria-label="`Zoom ${readout}, fit the canvas in`"
      @click="view.fit"
    >
      {{ readout }}
    </button>
    <v-btn
      :icon="mdiMagnifyPlusOutline"
      size="x-small"
      aria-label="Zoom the stage in"
      title="Zoom in (+, Ctrl + wheel)"
      @click="view.zoomIn"
    />
  </div>
</template>

<style scoped>
.zoom {
  display: flex;
  align-items: center;
  border-radius: 16px;
  background: var(--card);
}

.readout {
  min-width: 46px;
  min-height: 24px;
  font-size: 12px;
  text-align: center;
}
</style>
