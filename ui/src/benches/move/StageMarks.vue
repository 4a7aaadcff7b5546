<script setup lang="ts">
import { computed } from 'vue'
import type { Size } from '@/api/types'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useMoving } from './moving'
import type { Posed } from './moving'
import { boxAround, cornersOf } from './poses'
import type { Point } from './poses'
import type { useStageCross } from './stageCross'
import type { useStageDrag } from './stageDrag'

/** The boxes, handles and tracks of what is chosen, guides, and what a tool draws. */
const KNOB = 26
const HANDLE = 5

const props = defineProps<{
  scale: number
  canvas: Size
  drag: ReturnType<typeof useStageDrag>
  keyboard: ReturnType<typeof useStageCross>
}>()
const store = useReel()
const playhead = usePlayhead()
const moving = useMoving()

/** Cut-outs that are not chosen and reach off the canvas, so that they can be found there. */
const beyond = computed(() =>
  moving.all.filter((each) => {
    if (moving.chosen.has(each.cutout.id) || each.cutout.hidden || !each.stop.there) {
      return false
    }
    const box = boxAround(cornersOf(each.cutout, each.track, each.pose))
    return box.left < 0 || box.top < 0 || box.right > props.canvas.width || box.bottom > props.canvas.height
  }),
)

const outline = (each: Posed): string =>
  cornersOf(each.cutout, each.track, each.pose)
    .map(({ x, y }) => `${x},${y}`)
    .join(' ')

/** The knob stands off the middle of the upper edge, as far on the screen at any scale. */
function knobOf(each: Posed): { foot: Point; knob: Point } {
  const [a, b, , d] = cornersOf(each.cutout, each.track, each.pose) as [Point, Point, Point, Point]
  const foot = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const length = Math.hypot(a.x - d.x, a.y - d.y) || 1
  const out = KNOB / props.scale / length
  return { foot, knob: { x: foot.x + (a.x - d.x) * out, y: foot.y + (a.y - d.y) * out } }
}

interface Dot extends Point {
  row: number
  key: boolean
}

const dotsOf = (each: Posed): Dot[] => {
  const keys = new Set(each.cutout.keys.map((key) => key.frame))
  return each.track.stops.flatMap(({ pose, there }, row) =>
    there ? [{ x: pose.x, y: pose.y, row, key: keys.has(store.ids[row] as number) }] : [],
  )
}

/** A dot of the track takes the cut-out to where it is on that frame, and can be dragged from there. */
function onDot(event: PointerEvent, each: Posed, dot: Dot): void {
  playhead.playing = false
  playhead.goTo(dot.row)
  const pose = each.track.stops[dot.row]?.pose
  if (pose) {
    props.drag.moveChosen(event, [{ ...each, pose }])
  }
}
</script>

<template>
  <svg class="marks" :viewBox="`0 0 ${canvas.width} ${canvas.height}`" aria-hidden="true">
    <polygon v-for="each in beyond" :key="each.cutout.id" :points="outline(each)" class="box beyond" />
    <template v-for="each in moving.posed" :key="each.cutout.id">
      <g v-if="moving.trackShown && each.cutout.keys.length > 1">
        <circle
          v-for="dot in dotsOf(each)"
          :key="dot.row"
          :cx="dot.x"
          :cy="dot.y"
          :data-dot="dot.row"
          :r="(dot.key ? 6 : 3.5) / scale"
          class="dot"
          :class="{ key: dot.key, here: dot.row === playhead.index }"
          @pointerdown="onDot($event, each, dot)"
        />
      </g>
      <polygon :points="outline(each)" class="box" :class="{ gone: !each.stop.there }" />
    </template>
    <g v-if="moving.single && moving.single.stop.there">
      <line
        :x1="knobOf(moving.single).foot.x"
        :y1="knobOf(moving.single).foot.y"
        :x2="knobOf(moving.single).knob.x"
        :y2="knobOf(moving.single).knob.y"
        class="box"
      />
      <circle
        :cx="knobOf(moving.single).knob.x"
        :cy="knobOf(moving.single).knob.y"
        :r="6 / scale"
        class="handle knob"
        @pointerdown="drag.turnFrom($event, moving.single!)"
      />
      <circle
        :cx="drag.pivot.value?.x ?? moving.single.pose.x"
        :cy="drag.pivot.value?.y ?? moving.single.pose.y"
        :r="4 / scale"
        class="pivot"
      />
      <rect
        v-for="(corner, i) in cornersOf(moving.single.cutout, moving.single.track, moving.single.pose)"
        :key="i"
        :x="corner.x - HANDLE / scale"
        :y="corner.y - HANDLE / scale"
        :width="(2 * HANDLE) / scale"
        :height="(2 * HANDLE) / scale"
        class="handle corner"
        @pointerdown="drag.scaleFrom($event, moving.single!)"
      />
    </g>
    <line
      v-for="guide in drag.guides.value"
      :key="guide.axis + guide.at"
      class="guide"
      :x1="guide.axis === 'x' ? guide.at : 0"
      :x2="guide.axis === 'x' ? guide.at : canvas.width"
      :y1="guide.axis === 'y' ? guide.at : 0"
      :y2="guide.axis === 'y' ? guide.at : canvas.height"
    />
    <polyline
      v-if="drag.path.value.length > 0"
      class="path"
      :points="drag.path.value.map(({ x, y }) => `${x},${y}`).join(' ')"
    />
    <rect
      v-if="drag.box.value"
      class="cut"
      :x="drag.box.value.left"
      :y="drag.box.value.top"
      :width="drag.box.value.right - drag.box.value.left"
      :height="drag.box.value.bottom - drag.box.value.top"
    />
    <polyline
      v-if="keyboard.points.value.length > 0"
      class="path"
      :points="[...keyboard.points.value, keyboard.cross.value!].map(({ x, y }) => `${x},${y}`).join(' ')"
    />
    <path
      v-if="keyboard.cross.value"
      class="cross"
      :d="`M${keyboard.cross.value.x - 10 / scale} ${keyboard.cross.value.y}h${20 / scale}M${keyboard.cross.value.x} ${keyboard.cross.value.y - 10 / scale}v${20 / scale}`"
    />
  </svg>
</template>

<style scoped>
.marks {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
}

.marks * {
  vector-effect: non-scaling-stroke;
}

.marks .box {
  fill: none;
  stroke: var(--rein);
  stroke-width: 1.5;
  pointer-events: none;
}

.marks .box.beyond {
  stroke: var(--ink2);
  stroke-width: 1;
}

.marks .box.gone {
  stroke-dasharray: 4 4;
}

.dot {
  fill: #fffdf9;
  stroke: #1e2a32;
  stroke-width: 1.2;
  cursor: grab;
}

.dot.key {
  fill: var(--rein);
  stroke: #fffdf9;
  stroke-width: 1.5;
}

.dot.here {
  stroke: #1e2a32;
  stroke-width: 2;
}

.handle {
  fill: #fffdf9;
  stroke: var(--rein);
  stroke-width: 1.5;
}

.knob {
  cursor: grab;
}

.corner {
  cursor: nwse-resize;
}

.marks .pivot {
  fill: var(--rein);
  stroke: #fffdf9;
  stroke-width: 1.5;
  pointer-events: none;
}

.guide {
  stroke: #2f8f83;
  stroke-width: 1;
  stroke-dasharray: 5 3;
}

.path {
  fill: none;
  stroke: var(--rein);
  stroke-width: 2;
}

.cut {
  fill: rgb(255 253 249 / 20%);
  stroke: var(--rein);
  stroke-width: 1.5;
}

.cross {
  stroke: var(--rein);
  stroke-width: 2;
}
</style>
