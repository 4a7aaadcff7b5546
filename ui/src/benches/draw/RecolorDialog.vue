<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Mark } from '@/api/types'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'
import { useDrawing } from './drawing'
import { usePens } from './pens'

/** Replaces a color of ink by another, on this page or on all. */
const TOLERANCE = 2
const store = useReel()
const drawing = useDrawing()
const pens = usePens()
const asking = useAsking()
const shown = asking.isShown('recolor')
const from = ref('000000')
const to = ref('000000')
const everywhere = ref(false)

watch(shown, (open) => {
  if (open) {
    from.value = to.value = pens.pen.color
    everywhere.value = false
  }
})

function done(): Promise<boolean> {
  const pages = everywhere.value
    ? store.frames.filter((frame) => frame.ink.picture !== '')
    : drawing.frame
      ? [drawing.frame]
      : []
  const mark: Mark = { type: 'recolor', from: from.value, to: to.value, tolerance: TOLERANCE }
  return drawing.make(
    mark,
    pages.map((page) => page.id),
  )
}
</script>

<template>
  <dialog-card v-model="shown" title="Replace a color of the ink" verb="Replace" :disabled="from === to" :done="done">
    <div class="colors">
      <color-field v-model="from" label="This color" />
      <color-field v-model="to" label="Becomes" />
    </div>
    <v-checkbox v-model="everywhere" label="On all pages" density="compact" hide-details />
  </dialog-card>
</template>

<style scoped>
.colors {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
}
</style>
