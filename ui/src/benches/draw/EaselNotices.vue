<script setup lang="ts">
import { computed } from 'vue'
import { useReel } from '@/reel/store'
import { useDrawing } from './drawing'

/** What keeps one from drawing, or what was drawn from being kept, and the way out. */
const store = useReel()
const drawing = useDrawing()
const size = computed(() => `${drawing.canvas.width} × ${drawing.canvas.height}`)
const smaller = computed(() => drawing.smaller && `${drawing.smaller.width} × ${drawing.smaller.height}`)
const alone = computed(() => store.reel?.cutouts.length === 0)
</script>

<template>
  <div v-if="drawing.failed.length > 0" class="notice" role="alert">
    <span>{{ drawing.failed.length === 1 ? 'One mark is' : `${drawing.failed.length} marks are` }} not saved.</span>
    <v-btn size="small" variant="flat" color="primary" @click="drawing.tryAgain()">Try again</v-btn>
    <v-btn size="small" variant="text" @click="drawing.giveUp()">Give up</v-btn>
  </div>
  <div v-else-if="drawing.smaller" class="notice" role="status">
    <span>The canvas is {{ size }} pixels, too large to draw on. Stills keep all their pixels on a smaller one.</span>
    <v-btn
      v-if="alone"
      size="small"
      variant="flat"
      color="primary"
      @click="store.dispatch({ type: 'setCanvas', ...drawing.smaller })"
      >Make it {{ smaller }}</v-btn
    >
    <span v-else>Make it at most {{ smaller }} on the Sheet.</span>
  </div>
</template>

<style scoped>
.notice {
  position: absolute;
  z-index: 2;
  inset: 8px 8px auto;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: center;
  gap: 8px 12px;
  width: fit-content;
  max-width: 640px;
  margin-inline: auto;
  padding: 8px 14px;
  border-radius: var(--round);
  background: var(--warn-soft);
  color: var(--warn);
  box-shadow: var(--shade);
}
</style>
