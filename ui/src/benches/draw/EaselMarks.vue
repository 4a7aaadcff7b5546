<script setup lang="ts">
import { computed } from 'vue'
import type { Size } from '@/api/types'
import { useDrawing } from './drawing'
import type { Pulled } from './hand'
import type { Place } from './pageView'
import { usePens } from './pens'
import { useTaken } from './taken'

/** What the hand shows on the page while it works: a figure that is pulled, what is taken, and the pen that keys move. */
const { canvas, scale, pulled, handDown, cursor, cursorDown } = defineProps<{
  canvas: Size
  scale: number
  pulled: Pulled | null
  handDown: boolean
  cursor: Place | null
  cursorDown: boolean
}>()
const GRIP = 5
const ARM = 8

const drawing = useDrawing()
const pens = usePens()
const taken = useTaken()
const line = computed(() => ({ stroke: `#${pens.pen.color}`, strokeWidth: pens.pen.width }))
const outlined = computed(() => (taken.isHere || (drawing.hand === 'take' && handDown) ? taken.outline : []))
const free = computed(() => outlined.value.length > 4 && handDown)
const box = computed(
  () =>
    pulled && {
      x: Math.min(pulled.from.x, pulled.to.x),
      y: Math.min(pulled.from.y, pulled.to.y),
      width: Math.abs(pulled.to.x - pulled.from.x),
      height: Math.abs(pulled.to.y - pulled.from.y),
    },
)
const cross = computed(() => {
  const arm = ARM / scale
  return cursor && `M${cursor.x - arm} ${cursor.y}h${2 * arm}M${cursor.x} ${cursor.y - arm}v${2 * arm}`
})
</script>

<template>
  <svg :viewBox="`0 0 ${canvas.width} ${canvas.height}`" preserveAspectRatio="none" aria-hidden="true">
    <template v-if="box">
      <rect v-if="drawing.hand === 'box'" class="pulled" :style="line" v-bind="box" />
      <ellipse
        v-else
        class="pulled"
        :style="line"
        :cx="box.x + box.width / 2"
        :cy="box.y + box.height / 2"
        :rx="box.width / 2"
        :ry="box.height / 2"
      />
    </template>
    <polyline v-if="free" class="ants" :points="outlined.join(' ')" />
    <template v-else-if="taken.box && outlined.length > 0">
      <rect class="ants" :x="taken.box.x" :y="taken.box.y" :width="taken.box.width" :height="taken.box.height" />
      <circle class="grip" :cx="taken.box.x + taken.box.width" :cy="taken.box.y + taken.box.height" :r="GRIP / scale" />
    </template>
    <path v-if="cross" class="cursor" :class="{ down: cursorDown }" :d="cross" />
  </svg>
</template>

<style scoped>
.pulled {
  fill: none;
  opacity: 0.85;
}

.ants,
.cursor {
  fill: none;
  stroke: var(--rein);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}

.ants {
  stroke-dasharray: 5 3;
}

.grip {
  fill: var(--card);
  stroke: var(--rein);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}

.cursor {
  stroke-width: 2px;
}

.cursor.down {
  stroke: var(--fits);
}
</style>
