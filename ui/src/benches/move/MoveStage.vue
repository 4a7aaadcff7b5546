<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useKeys } from '@/ground/keys'
import LoopStage from '@/stage/LoopStage.vue'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import LiftedLayers from './LiftedLayers.vue'
import { useMoving } from './moving'
import type { Posed } from './moving'
import { inBox } from './poses'
import type { Box, Point } from './poses'
import { useStageCross } from './stageCross'
import { useStageDrag } from './stageDrag'
import type { Tool } from './stageDrag'
import StageMarks from './StageMarks.vue'
import { useStageView } from './stageView'
import StageZoom from './StageZoom.vue'

/** The frame at the playhead as the server draws it, what is dragged over it, and the marks of what is chosen. */
/** From so many pixels of the screen to one of the canvas, single pixels are seen. */
const HARD_FROM = 3
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
const keyboard = useStageCross(
  drag.tool,
  canvas,
  () => moving.single?.pose ?? { x: canvas.value.width / 2, y: canvas.value.height / 2 },
  {
    path: drag.pathOf,
    box: drag.boxOf,
    pivot: (at) => moving.single && drag.pivotAt(at, moving.single),
  },
)
const readout = computed(() => `${Math.round(scale.value * devicePixelRatio * 100)} %`)

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
  const run =
    keyboard.command(event) ??
    (command ? undefined : look[event.key]) ??
    (moving.ids.length > 0 ? keys[event.key.length === 1 ? event.key.toLowerCase() : event.key] : undefined)
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
        <div
          ref="surface"
          class="surface checker"
          :style="placed"
          tabindex="0"
          role="group"
          aria-label="Stage. Arrow keys move what is chosen."
          @keydown="onKey"
        >
          <loop-stage
            :look="{ ground: '', zoom: 'fit' }"
            :hard="scale >= HARD_FROM"
            class="frame"
            @sharp="(look) => look === playhead.frame?.drawn && moving.seen()"
          />
          <lifted-layers :scale="scale" :canvas="canvas" :dragging="drag.active.value" />
          <stage-marks :scale="scale" :canvas="canvas" :drag="drag" :keyboard="keyboard" />
        </div>
      </div>
    </div>
    <p v-if="drag.tool.value !== 'pose'" class="hint" role="status">
      {{ HINTS[drag.tool.value] }}. Escape gives up.
      <span v-if="keyboard.cross.value" class="unseen"
        >{{ keyboard.cross.value.x }} across, {{ keyboard.cross.value.y }} down</span
      >
    </p>
    <stage-zoom :view="view" :readout="readout" class="zoom" />
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
}

.frame {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
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
