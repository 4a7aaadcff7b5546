<script setup lang="ts">
import { mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { frameNowUrl } from '@/api/urls'
import { useKeys } from '@/ground/keys'
import LoopStage from '@/stage/LoopStage.vue'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useLiftedStill } from './liftedStill'
import LiveCutout from './LiveCutout.vue'
import { useMoving } from './moving'
import type { Posed } from './moving'
import { boxAround, cornersOf, inBox } from './poses'
import type { Box, Point } from './poses'
import { useStageCross } from './stageCross'
import { useStageDrag } from './stageDrag'
import type { Tool } from './stageDrag'
import { useStageView } from './stageView'

/** The frame at the playhead as the server draws it; over it the box, the handles and the tracks of what is chosen. */
const WIDEST = 1600
const PRESS_MILLIS = 120
/** From so many pixels of the screen to one of the canvas, single pixels are seen. */
const HARD_FROM = 3
const KNOB = 26
const HANDLE = 5
const HINTS = {
  path: 'Draw the path to follow, or set its points with arrow keys and Enter; Enter again ends it',
  box: 'Draw a box to cut out, or set two corners with arrow keys and Enter',
  pivot: 'Press where it should turn about, or go there with arrow keys and press Enter',
}

const emit = defineEmits<{ path: [points: Point[]]; box: [box: Box]; words: [id: number] }>()
const store = useReel()
const playhead = usePlayhead()
const moving = useMoving()
const room = ref<HTMLElement | null>(null)
const surface = ref<HTMLElement | null>(null)

const canvas = computed(() => store.reel?.canvas ?? { width: 3, height: 2 })
const view = useStageView(room, canvas)
const { scale } = view
const placed = computed(() => ({
  width: `${view.size.value.width}px`,
  height: `${view.size.value.height}px`,
}))
const around = computed(() => ({ padding: `${view.margin.value.y}px ${view.margin.value.x}px` }))
const drag = useStageDrag(surface, scale, { path: (points) => emit('path', points), box: (box) => emit('box', box) })
const keyboard = useStageCross(drag.tool, canvas, () => moving.single?.pose ?? { x: canvas.value.width / 2, y: canvas.value.height / 2 }, {
  path: drag.pathOf,
  box: drag.boxOf,
  pivot: (at) => moving.single && drag.pivotAt(at, moving.single),
})
/** Cut-outs that are not chosen and reach off the canvas, so that they can be found there. */
const beyond = computed(() =>
  moving.all.filter((each) => {
    if (moving.chosen.has(each.cutout.id) || each.cutout.hidden || !each.stop.there) {
      return false
    }
    const box = boxAround(cornersOf(each.cutout, each.track, each.pose))
    return box.left < 0 || box.top < 0 || box.right > canvas.value.width || box.bottom > canvas.value.height
  }),
)
const readout = computed(() => `${Math.round(scale.value * devicePixelRatio * 100)} %`)

/** What is dragged is lifted off the picture, with all that lies above it: the still too, where it lies under that. */
const lifted = computed(() => {
  const drawn = [...moving.all.filter(({ cutout }) => cutout.under), ...moving.all.filter(({ cutout }) => !cutout.under)]
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
  const { width: wide, height: high } = canvas.value
  return {
    borderRadius: `${Math.min(radius, wide / 2, high / 2) * scale.value}px`,
    border: width > 0 ? `${width * scale.value}px solid #${color}` : 'none',
  }
})
let patience = 0
watch(
  () => lifted.value.map(({ cutout }) => cutout.id).join(' '),
  () => {
    const drawn = playhead.frame?.drawn
    const ids = lifted.value.map(({ cutout }) => cutout.id)
    const wide = Math.min(WIDEST, canvas.value.width)
    const url = drawn && store.reel && ids.length > 0 ? frameNowUrl(store.reel.id, drawn, wide, ids) : ''
    window.clearTimeout(patience)
    groundThere.value = false
    if (url === '' || drag.active.value) {
      ground.value = url
    } else {
      // After a press of a key the whole picture is mostly here sooner.
      patience = window.setTimeout(() => (ground.value = url), PRESS_MILLIS)
    }
  },
)
onBeforeUnmount(() => window.clearTimeout(patience))

const outline = (each: Posed): string =>
  cornersOf(each.cutout, each.track, each.pose).map(({ x, y }) => `${x},${y}`).join(' ')

/** The knob stands off the middle of the upper edge, as far on the screen at any scale. */
function knobOf(each: Posed): { foot: Point; knob: Point } {
  const [a, b, , d] = cornersOf(each.cutout, each.track, each.pose) as [Point, Point, Point, Point]
  const foot = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const length = Math.hypot(a.x - d.x, a.y - d.y) || 1
  const out = KNOB / scale.value / length
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

/** The topmost one under the pointer; one that is chosen wins. */
function hit(at: Point): Posed | null {
  const under = moving.all.filter((each) => {
    if (!each.stop.there || each.cutout.hidden || each.pose.opacity === 0) {
      return false
    }
    const inside = inBox(each.cutout, each.track, each.pose, at)
    return inside.x >= 0 && inside.y >= 0 && inside.x <= each.track.width && inside.y <= each.track.height
  })
  return under.findLast((each) => moving.chosen.has(each.cutout.id)) ?? under.at(-1) ?? null
}

function onDown(event: PointerEvent): void {
  surface.value?.focus({ preventScroll: true })
  if (event.button === 1) {
    view.pan(event)
  }
  if (event.button !== 0) {
    return
  }
  if (drag.tool.value === 'path') {
    drag.drawPath(event)
    return
  }
  if (drag.tool.value === 'box') {
    drag.drawBox(event)
    return
  }
  if (drag.tool.value === 'pivot' && moving.single) {
    drag.setPivot(event, moving.single)
    return
  }
  const each = hit(drag.pointOf(event))
  if (!each) {
    moving.none()
    return
  }
  if (event.shiftKey || event.ctrlKey || event.metaKey) {
    moving.choose(each.cutout.id, true)
    return
  }
  if (!moving.chosen.has(each.cutout.id)) {
    moving.choose(each.cutout.id, false)
  }
  drag.moveChosen(event)
}

/** A dot of the track takes the cut-out to where it is on that frame, and can be dragged from there. */
function onDot(event: PointerEvent, each: Posed, dot: Dot): void {
  playhead.playing = false
  playhead.goTo(dot.row)
  const pose = each.track.stops[dot.row]?.pose
  if (pose) {
    drag.moveChosen(event, [{ ...each, pose }])
  }
}

function onDouble(event: MouseEvent): void {
  const each = hit(drag.pointOf(event))
  if (each && (each.cutout.art.kind === 'words' || each.cutout.art.kind === 'shape')) {
    emit('words', each.cutout.id)
  }
}

let copied: number[] = []

/** Pictures that are pasted become cut-outs elsewhere; without any, what was copied here comes again at the same place. */
useEventListener(window, 'paste', (event: ClipboardEvent) => {
  const here = surface.value?.contains(document.activeElement)
  if (here && copied.length > 0 && (event.clipboardData?.files.length ?? 0) === 0) {
    event.preventDefault()
    void moving.adding({ type: 'copyCutouts', cutouts: copied })
  }
})

function onKey(event: KeyboardEvent): void {
  const far = (event.shiftKey ? 10 : 1) * moving.step
  const command = event.ctrlKey || event.metaKey
  const keys: Record<string, (() => unknown) | undefined> = command
    ? { c: () => (copied = moving.ids), g: moving.ids.length > 1 ? moving.group : undefined }
    : {
        ArrowLeft: () => moving.nudge(-far, 0),
        ArrowRight: () => moving.nudge(far, 0),
        ArrowUp: () => moving.nudge(0, -far),
        ArrowDown: () => moving.nudge(0, far),
        Delete: moving.remove,
        Backspace: moving.remove,
        Escape: drag.tool.value === 'pose' ? moving.none : undefined,
      }
  const look: Record<string, () => unknown> = {
    PageUp: () => playhead.step(-1),
    PageDown: () => playhead.step(1),
    '+': view.zoomIn,
    '-': view.zoomOut,
    0: view.fit,
  }
  const run = keyboard.command(event) ?? (command ? undefined : look[event.key]) ?? (moving.ids.length > 0 ? keys[event.key.length === 1 ? event.key.toLowerCase() : event.key] : undefined)
  if (run) {
    event.preventDefault()
    event.stopPropagation()
    void run()
  }
}

useKeys(({ key }) => (key === 'Escape' && drag.tool.value !== 'pose' ? drag.giveUp : undefined))

/** The next press is for the tool; by keyboard too. */
function arm(tool: Exclude<Tool, 'pose'>): void {
  drag.tool.value = tool
  surface.value?.focus({ preventScroll: true })
}

defineExpose({ arm })
</script>

<template>
  <div class="frameof">
  <div ref="room" class="room" :class="[drag.tool.value, { near: view.zoom.value > 1 }]">
    <div class="paper" :style="around" @pointerdown="onDown" @dblclick="onDouble">
    <div ref="surface" class="surface checker" :style="placed" tabindex="0" role="group"
      aria-label="Stage. Arrow keys move what is chosen." @keydown="onKey">
      <loop-stage :look="{ ground: '', zoom: 'fit' }" :hard="scale >= HARD_FROM" class="frame" @sharp="(look) => look === playhead.frame?.drawn && moving.seen()" />
      <img v-if="ground" :src="ground" alt="" class="frame" draggable="false" @load="groundThere = true" />
      <div v-if="live.length > 0" class="live" :style="{ borderRadius: border.borderRadius }">
        <live-cutout v-for="each in liveUnder" :key="each.cutout.id" :posed="each" :scale="scale" />
        <img v-if="liveUnder.length > 0 && still" :src="still" alt="" class="frame" draggable="false" />
        <live-cutout v-for="each in liveOver" :key="each.cutout.id" :posed="each" :scale="scale" />
        <div class="border" :style="border" />
      </div>
      <svg class="marks" :viewBox="`0 0 ${canvas.width} ${canvas.height}`" aria-hidden="true">
        <polygon v-for="each in beyond" :key="each.cutout.id" :points="outline(each)" class="box beyond" />
        <template v-for="each in moving.posed" :key="each.cutout.id">
          <g v-if="moving.trackShown && each.cutout.keys.length > 1">
            <circle v-for="dot in dotsOf(each)" :key="dot.row" :cx="dot.x" :cy="dot.y" :data-dot="dot.row"
              :r="(dot.key ? 6 : 3.5) / scale" class="dot" :class="{ key: dot.key, here: dot.row === playhead.index }"
              @pointerdown="onDot($event, each, dot)" />
          </g>
          <polygon :points="outline(each)" class="box" :class="{ gone: !each.stop.there }" />
        </template>
        <g v-if="moving.single && moving.single.stop.there">
          <line :x1="knobOf(moving.single).foot.x" :y1="knobOf(moving.single).foot.y" :x2="knobOf(moving.single).knob.x"
            :y2="knobOf(moving.single).knob.y" class="box" />
          <circle :cx="knobOf(moving.single).knob.x" :cy="knobOf(moving.single).knob.y" :r="6 / scale" class="handle knob"
            @pointerdown="drag.turnFrom($event, moving.single!)" />
          <circle :cx="drag.pivot.value?.x ?? moving.single.pose.x" :cy="drag.pivot.value?.y ?? moving.single.pose.y"
            :r="4 / scale" class="pivot" />
          <rect v-for="(corner, i) in cornersOf(moving.single.cutout, moving.single.track, moving.single.pose)" :key="i"
            :x="corner.x - HANDLE / scale" :y="corner.y - HANDLE / scale" :width="(2 * HANDLE) / scale"
            :height="(2 * HANDLE) / scale" class="handle corner" @pointerdown="drag.scaleFrom($event, moving.single!)" />
        </g>
        <line v-for="guide in drag.guides.value" :key="guide.axis + guide.at" class="guide"
          :x1="guide.axis === 'x' ? guide.at : 0" :x2="guide.axis === 'x' ? guide.at : canvas.width"
          :y1="guide.axis === 'y' ? guide.at : 0" :y2="guide.axis === 'y' ? guide.at : canvas.height" />
        <polyline v-if="drag.path.value.length > 0" class="path"
          :points="drag.path.value.map(({ x, y }) => `${x},${y}`).join(' ')" />
        <rect v-if="drag.box.value" class="cut" :x="drag.box.value.left" :y="drag.box.value.top"
          :width="drag.box.value.right - drag.box.value.left" :height="drag.box.value.bottom - drag.box.value.top" />
        <polyline v-if="keyboard.points.value.length > 0" class="path"
          :points="[...keyboard.points.value, keyboard.cross.value!].map(({ x, y }) => `${x},${y}`).join(' ')" />
        <path v-if="keyboard.cross.value" class="cross"
          :d="`M${keyboard.cross.value.x - 10 / scale} ${keyboard.cross.value.y}h${20 / scale}M${keyboard.cross.value.x} ${keyboard.cross.value.y - 10 / scale}v${20 / scale}`" />
      </svg>
    </div>
    </div>
  </div>
  <p v-if="drag.tool.value !== 'pose'" class="hint" role="status">{{ HINTS[drag.tool.value] }}. Escape gives up.
    <span v-if="keyboard.cross.value" class="unseen">{{ keyboard.cross.value.x }} across, {{ keyboard.cross.value.y }} down</span></p>
  <div class="zoom" role="group" aria-label="Zoom of the stage">
    <v-btn :icon="mdiMagnifyMinusOutline" size="x-small" aria-label="Zoom the stage out" title="Zoom out (−)" @click="view.zoomOut" />
    <button type="button" class="readout" :disabled="view.zoom.value === 1" title="Fit the canvas in (0)"
      :aria-label="`Zoom ${readout}, fit the canvas in`" @click="view.fit">{{ readout }}</button>
    <v-btn :icon="mdiMagnifyPlusOutline" size="x-small" aria-label="Zoom the stage in" title="Zoom in (+, Ctrl + wheel)" @click="view.zoomIn" />
  </div>
  </div>
</template>

<style scoped>
.frameof {
  position: relative;
  min-width: 0;
  min-height: 0;
}

.room {
  position: absolute;
  inset: 0;
  overflow: hidden;
  border-radius: var(--round);
  background: var(--sunk);
  scrollbar-width: thin;
}

.room.near {
  overflow: auto;
}

.paper {
  width: max-content;
}

.room,
.surface {
  touch-action: none;
  user-select: none;
}

.surface {
  position: relative;
  isolation: isolate;
}

.room.path,
.room.pivot,
.room.box {
  cursor: crosshair;
}

.zoom {
  position: absolute;
  right: 6px;
  bottom: 6px;
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

.cross {
  stroke: var(--rein);
  stroke-width: 2;
}

.frame,
.marks {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}

.frame,
.live {
  pointer-events: none;
}

.live {
  position: absolute;
  inset: 0;
  overflow: hidden;
}

.border {
  position: absolute;
  inset: 0;
}

.marks {
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

.hint {
  position: absolute;
  bottom: 10px;
  left: 10px;
  max-width: calc(100% - 150px);
  margin: 0;
  padding: 4px 12px;
  border-radius: 14px;
  background: #1e2a32;
  color: #fffdf9;
  font-size: 13px;
  pointer-events: none;
}
</style>
