<script setup lang="ts">
import { ref, watchEffect } from 'vue'

/** The first frame of a moving picture, still. */
const props = defineProps<{ src: string; width: number; height: number; alt: string }>()
const surface = ref<HTMLCanvasElement | null>(null)

watchEffect(async () => {
  const canvas = surface.value
  const image = new Image()
  image.src = props.src
  if (canvas) {
    await image.decode().catch(() => {})
    // A canvas takes the first frame of a moving picture, whatever plays elsewhere.
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  }
})
</script>

<template>
  <canvas :key="src" ref="surface" :width="width" :height="height" role="img" :aria-label="`${alt}, paused`" />
</template>
