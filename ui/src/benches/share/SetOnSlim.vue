<script setup lang="ts">
import { mdiTuneVariant } from '@mdi/js'
import { computed } from 'vue'
import { framesText } from '@/parts/format'
import { useReel } from '@/reel/store'

/** What the file is set to, and the way to where that is set. */
const store = useReel()
const delivery = computed(() => store.reel!.delivery)
const facts = computed(() => {
  const { framing, colors } = delivery.value
  const frames = Math.ceil(store.frames.filter((frame) => !frame.leftOut).length / framing.every)
  const { width, height } = store.reel!.deliveredSize
  return [
    `${width} × ${height} px${framing.crop.width > 0 ? ', cropped' : ''}`,
    `${colors} colors${delivery.value.dither === 'NONE' ? ', no dithering' : ', dithered'}`,
    framesText(frames),
  ]
})
</script>

<template>
  <div class="set">
    <h2>As set</h2>
    <ul>
      <li v-for="fact in facts" :key="fact">{{ fact }}</li>
    </ul>
    <v-btn
      size="small"
      variant="outlined"
      :prepend-icon="mdiTuneVariant"
      :to="{ name: 'slim', params: { id: store.reel!.id } }"
      >Change it on Slim</v-btn
    >
  </div>
</template>

<style scoped>
.set {
  display: grid;
  justify-items: start;
  gap: 8px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
