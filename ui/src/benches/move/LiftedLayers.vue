<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import type { Size } from '@/api/types'
import { frameNowUrl } from '@/api/urls'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useLiftedStill } from './liftedStill'
import LiveCutout from './LiveCutout.vue'
import { useMoving } from './moving'
import type { Posed } from './moving'

/** What is dragged, and what lies above it, as the browser draws it until the server's picture is there. */
const WIDEST = 1600
const PRESS_MILLIS = 120

const props = defineProps<{ scale: number; canvas: Size; dragging: boolean }>()
const store = useReel()
const playhead = usePlayhead()
const moving = useMoving()

/** What is dragged is lifted off the picture, with all that lies above it: the still too, where it lies under that. */
const lifted = computed(() => {
  const drawn = [
    ...moving.all.filter(({ cutout }) => cutout.under),
    ...moving.all.filter(({ cutout }) => !cutout.under),
  ]
  const lowest = drawn.findIndex(({ cutout }) => moving.drafts.has(cutout.id))
  return lowest < 0 ? [] : drawn.slice(lowest).filter(isLive)
})
const still = useLiftedStill(() => lifted.value.some(({ cutout }) => cutout.under))

function isLive({ cutout, stop, pose }: Posed): boolean {
  return moving.drafts.has(cutout.id) || (!cutout.hidden && stop.there && pose.opacity > 0)
}

/** The picture without what is lifted, as it was when that was taken up: the rest of it does not change by that. */
const ground = ref('')
const groundThere = ref(false)
/** Until the ground is there, what lies above is still in the picture, and must not be drawn twice. */
const live = computed(() => lifted.value.filter(({ cutout }) => groundThere.value || moving.drafts.has(cutout.id)))
const liveUnder = computed(() => live.value.filter(({ cutout }) => cutout.under))
const liveOver = computed(() => live.value.filter(({ cutout }) => !cutout.under))
/** The border lies over all of it. */
const border = computed(() => {
  const { width, color, radius } = store.reel!.border
  const { width: wide, height: high } = props.canvas
  return {
    borderRadius: `${Math.min(radius, wide / 2, high / 2) * props.scale}px`,
    border: width > 0 ? `${width * props.scale}px solid #${color}` : 'none',
  }
})
let patience = 0
watch(
  () => lifted.value.map(({ cutout }) => cutout.id).join(' '),
  () => {
    const drawn = playhead.frame?.drawn
    const ids = lifted.value.map(({ cutout }) => cutout.id)
    const wide = Math.min(WIDEST, props.canvas.width)
    const url = drawn && store.reel && ids.length > 0 ? frameNowUrl(store.reel.id, drawn, wide, ids) : ''
    window.clearTimeout(patience)
    groundThere.value = false
    if (url === '' || props.dragging) {
      ground.value = url
    } else {
      // After a press of a key the whole picture is mostly here sooner.
      patience = window.setTimeout(() => (ground.value = url), PRESS_MILLIS)
    }
  },
)
onBeforeUnmount(() => window.clearTimeout(patience))
</script>

<template>
  <img v-if="ground" :src="ground" alt="" class="frame" draggable="false" @load="groundThere = true" />
  <div v-if="live.length > 0" class="live" :style="{ borderRadius: border.borderRadius }">
    <live-cutout v-for="each in liveUnder" :key="each.cutout.id" :posed="each" :scale="scale" />
    <img v-if="liveUnder.length > 0 && still" :src="still" alt="" class="frame" draggable="false" />
    <live-cutout v-for="each in liveOver" :key="each.cutout.id" :posed="each" :scale="scale" />
    <div class="border" :style="border" />
  </div>
</template>

<style scoped>
.frame {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}

.live {
  position: absolute;
  inset: 0;
  overflow: hidden;
  pointer-events: none;
}

.border {
  position: absolute;
  inset: 0;
}
</style>
