<script setup lang="ts">
import { ref, watchEffect } from 'vue'

/** The first frame of a moving picture, still. */
const props = defineProps<{ src: string; width: number; height: number; alt: string }>()
const surface = ref<HTMLCanvasElement | null>(null)

watchEffect(() => {
  const image = new Image()
  image.src = props.src
  if (surface.value) void show(image, surface.value)
})

async function show(image: HTMLImageElement, canvas: HTMLCanvasElement): Promise<void> {
  await image.decode().catch(() => {})
  // A canvas takes the first frame of a moving picture, whatever plays elsewhere.
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
}
</script>

<template>
  <canvas :key="src" ref="surface" :width="width" :height="height" role="img" :aria-label="`${alt}, paused`" />
</template>
