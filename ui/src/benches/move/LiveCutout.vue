<script setup lang="ts">
import { computed } from 'vue'
import { artUrl } from '@/api/urls'
import { useReel } from '@/reel/store'
import type { Posed } from './moving'

/**
 * A cut-out as the browser draws it while something is dragged, by the rules of the renderer: the shadow falls straight on
 * what is below, and the cut-out is blended with both.
 */
const WIDEST = 1600

const props = defineProps<{ posed: Posed; scale: number }>()
const store = useReel()

const shadow = computed(() => props.posed.cutout.shadow)
const source = computed(() => artUrl(store.reel!.id, props.posed.cutout.id, props.posed.stop.art, WIDEST))
const filter = computed(() => `shadow-${props.posed.cutout.id}`)
const placed = computed(() => {
  const { cutout, track, pose } = props.posed
  const width = track.width * props.scale
  const height = track.height * props.scale
  return {
    width: `${width}px`,
    height: `${height}px`,
    opacity: String(pose.opacity),
    transform: `translate(${pose.x * props.scale}px, ${pose.y * props.scale}px) rotate(${pose.turn}deg) scale(${pose.scaleX}, ${pose.scaleY}) translate(${-cutout.pivotX * width}px, ${-cutout.pivotY * height}px)`,
  }
})
</script>

<template>
  <div v-if="shadow.opacity > 0" class="layer" :style="{ filter: `url(#${filter})` }">
    <svg width="0" height="0" aria-hidden="true">
      <filter
        :id="filter"
        filterUnits="userSpaceOnUse"
        x="-100%"
        y="-100%"
        width="300%"
        height="300%"
        color-interpolation-filters="sRGB"
      >
        <feGaussianBlur in="SourceAlpha" :stdDeviation="shadow.blur * scale" />
        <feOffset :dx="shadow.x * scale" :dy="shadow.y * scale" result="soft" />
        <feFlood :flood-color="`#${shadow.color}`" :flood-opacity="shadow.opacity" />
        <feComposite in2="soft" operator="in" />
      </filter>
    </svg>
    <img :src="source" alt="" draggable="false" :style="placed" />
  </div>
  <div class="layer" :style="{ mixBlendMode: posed.cutout.blend.toLowerCase() as 'normal' }">
    <img :src="source" alt="" draggable="false" :style="placed" class="lifted" />
  </div>
</template>

<style scoped>
.layer {
  position: absolute;
  inset: 0;
}

img {
  position: absolute;
  top: 0;
  left: 0;
  transform-origin: 0 0;
}
</style>
