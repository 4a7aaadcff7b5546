<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, ref, watch, watchEffect } from 'vue'
import { frameUrl, layerUrl } from '@/api/urls'
import { wantPicture } from '@/api/pictureQueue'
import { isElsewhere, useKeys } from '@/ground/keys'
import { say } from '@/ground/messages'
import QueuedPicture from '@/parts/QueuedPicture.vue'
import { hasFewPixels } from '@/parts/fewPixels'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import LoopStage from '@/stage/LoopStage.vue'
import { usePage } from '@/stage/pages'
import { useDrawing } from './drawing'
import { useHand } from './hand'
import { useInkSurface } from './inkSurface'
import { inkName } from './layers'
import { usePageView } from './pageView'
import type { Place, Touch } from './pageView'
import { usePens } from './pens'
import { paintShining, shining } from './shine'
import { useTaken } from './taken'

/** The page that is drawn on, as large as it fits: what lies under the ink, what shines through, the ink, what lies over it. */
const emit = defineEmits<{ words: [at: Place] }>()
const GRID_FROM = 6
const WHEEL_STEP = 1.1

const store = useReel()
const playhead = usePlayhead()
const drawing = useDrawing()
const pens = usePens()
const taken = useTaken()
const easel = ref<HTMLElement | null>(null)
const inkCanvas = ref<HTMLCanvasElement | null>(null)
const shineCanvas = ref<HTMLCanvasElement | null>(null)
const { width, height } = useElementSize(easel)
const canvas = computed(() => drawing.canvas)
const room = computed(() => ({ width: width.value, height: height.value }))
const few = computed(() => hasFewPixels(canvas.value))
const view = usePageView(canvas, room, few)
const ink = useInkSurface(inkCanvas)
const page = usePage()
const words = ref<Place | null>(null)
const hand = useHand(ink, seenColor, words)
/** Where a pen moved by keys is; null while the pointer draws. */
const cursor = ref<Place | null>(null)
const keyDown = ref(false)
const spaceDown = ref(false)
let spaceUsed = false
const pointers = new Map<number, PointerEvent>()
let panning: PointerEvent | null = null

watch(words, (at) => {
  if (at) {
    emit('words', at)
    words.value = null
  }
})
watchEffect(() => taken.setScale(view.scale.value))

const place = computed(() => ({
  width: `${canvas.value.width * view.scale.value}px`,
  height: `${canvas.value.height * view.scale.value}px`,
  transform: `translate(-50%, -50%) translate(${view.offset.value.x}px, ${view.offset.value.y}px) rotate(${view.turn.value}deg)`,
}))
const grid = computed(() => drawing.settings.grid && view.scale.value >= GRID_FROM && (few.value || pens.pen.hard))
const gridStyle = computed(() => ({ backgroundSize: `${view.scale.value}px ${view.scale.value}px` }))
const hard = computed(() => few.value || view.scale.value * devicePixelRatio >= 3)
const under = computed(() => (drawing.frame && store.reel ? layerUrl(store.reel.id, drawing.frame.underInk) : ''))
const over = computed(() => (drawing.frame?.overInk && store.reel ? layerUrl(store.reel.id, drawing.frame.overInk) : ''))
const stageLook = computed(() => ({ zoom: 'fit' as const, ground: page.value.slice(1) }))

const shines = computed(() => {
  const { before, after, strength, round, shines: on, lit } = drawing.settings
  return on && store.reel && !playhead.playing ? { pages: shining(store.frames, playhead.index, before, after, strength / 100, round), lit } : { pages: [], lit: false }
})
/** What is seen of other pages: a mark on this one does not change it. */
const shineKey = computed(() => shines.value.pages.map(({ frame, color, strength }) => `${inkName(frame.ink)} ${color} ${strength}`).join() + shines.value.lit)
let shineTurn = 0
watch(
  [shineKey, shineCanvas, canvas],
  () => {
    const mine = ++shineTurn
    const pen = shineCanvas.value?.getContext('2d')
    if (pen && store.reel) {
      void paintShining(pen, store.reel.id, shines.value.pages, canvas.value, shines.value.lit, () => mine === shineTurn)
    }
  },
  { flush: 'post' },
)

function fromMiddle(event: { clientX: number; clientY: number }): Place {
  const box = easel.value!.getBoundingClientRect()
  return { x: event.clientX - box.left - box.width / 2, y: event.clientY - box.top - box.height / 2 }
}

function touchOf(event: PointerEvent): Touch {
  return {
    ...view.onCanvas(fromMiddle(event)),
    pressure: event.pointerType === 'mouse' || event.pressure === 0 ? 0.5 : event.pressure,
    tilt: Math.min(1, Math.hypot(event.tiltX, event.tiltY) / 90),
    shift: event.shiftKey,
    alt: event.altKey,
  }
}

function onDown(event: PointerEvent): void {
  if (playhead.playing) {
    // The press stops the loop; what runs cannot be drawn on.
    playhead.playing = false
    return
  }
  pointers.set(event.pointerId, event)
  if (event.pointerType === 'touch' && pointers.size === 2) {
    hand.giveUp()
    return
  }
  if (event.button === 1 || spaceDown.value) {
    panning = event
    spaceUsed = true
  } else if (event.button === 0 && pointers.size === 1) {
    if (keyDown.value) {
      // A stroke begun by keys is given up where the pointer begins another.
      keyDown.value = false
      hand.giveUp()
    }
    cursor.value = null
    hand.down(touchOf(event))
  } else {
    return
  }
  event.preventDefault()
  easel.value?.focus({ preventScroll: true })
  easel.value?.setPointerCapture(event.pointerId)
}

function onMove(event: PointerEvent): void {
  const before = pointers.get(event.pointerId)
  if (before && event.pointerType === 'touch' && pointers.size === 2) {
    pinch(before, event)
  } else if (panning?.pointerId === event.pointerId) {
    view.moveBy(event.clientX - panning.clientX, event.clientY - panning.clientY)
    panning = event
  } else if (before) {
    const all = event.getCoalescedEvents?.() ?? []
    hand.move((all.length > 0 ? all : [event]).map(touchOf))
  }
  if (before) {
    pointers.set(event.pointerId, event)
  }
}

function onUp(event: PointerEvent): void {
  pointers.delete(event.pointerId)
  if (panning?.pointerId === event.pointerId) {
    panning = null
  } else {
    hand.up(touchOf(event))
  }
}

function onCancel(event: PointerEvent): void {
  pointers.delete(event.pointerId)
  panning = null
  hand.giveUp()
}

/** Two fingers move and zoom the page. */
function pinch(before: PointerEvent, now: PointerEvent): void {
  const other = [...pointers.values()].find((each) => each.pointerId !== now.pointerId)
  if (other) {
    const was = Math.hypot(before.clientX - other.clientX, before.clientY - other.clientY)
    const is = Math.hypot(now.clientX - other.clientX, now.clientY - other.clientY)
    view.zoom(is / Math.max(1, was), fromMiddle({ clientX: (now.clientX + other.clientX) / 2, clientY: (now.clientY + other.clientY) / 2 }))
    view.moveBy((now.clientX - before.clientX) / 2, (now.clientY - before.clientY) / 2)
  }
}

function onWheel(event: WheelEvent): void {
  if (event.altKey) {
    view.turnBy(Math.sign(event.deltaY))
  } else {
    view.zoom(WHEEL_STEP ** -Math.sign(event.deltaY), fromMiddle(event))
  }
}

/** Drawing without a pointer: arrows move the pen, Enter puts it down and lifts it. */
function onKey(event: KeyboardEvent): void {
  const by = event.shiftKey ? 10 : 1
  const step = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key]
  if (event.ctrlKey || event.metaKey || event.altKey) {
    return
  }
  if (step && drawing.hand === 'take' && taken.isHere && !keyDown.value) {
    taken.nudge(step[0] as number, step[1] as number)
  } else if (step) {
    const from = cursor.value ?? { x: Math.floor(canvas.value.width / 2) + 0.5, y: Math.floor(canvas.value.height / 2) + 0.5 }
    cursor.value = { x: from.x + (step[0] as number), y: from.y + (step[1] as number) }
    hand.move([byKeys()])
  } else if (event.key === 'Enter' && playhead.playing) {
    playhead.playing = false
  } else if (event.key === 'Enter') {
    cursor.value ??= { x: Math.floor(canvas.value.width / 2) + 0.5, y: Math.floor(canvas.value.height / 2) + 0.5 }
    press()
  } else if (event.key === 'Escape') {
    keyDown.value = false
    hand.giveUp()
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    taken.remove()
  } else {
    return
  }
  event.preventDefault()
  event.stopPropagation()
}

function press(): void {
  if (keyDown.value || ['fill', 'pick', 'words'].includes(drawing.hand)) {
    if (!keyDown.value) hand.down(byKeys())
    keyDown.value = false
    hand.up(byKeys())
  } else {
    keyDown.value = true
    hand.down(byKeys())
  }
}

const byKeys = (): Touch => ({ ...(cursor.value as Place), pressure: 0.5, tilt: 0, shift: false, alt: false })

/** What is seen at a place: the frame as it is drawn, ink and all. */
async function seenColor(at: Place): Promise<string> {
  const frame = drawing.frame
  const { width: wide, height: high } = canvas.value
  if (!frame || !store.reel || at.x < 0 || at.y < 0 || at.x >= wide || at.y >= high) {
    say('Press on the page to pick up a color there.')
    return ''
  }
  await store.settled()
  const now = store.frames.find((each) => each.id === frame.id) ?? frame
  const image = await wantPicture(frameUrl(store.reel.id, now.drawn, Math.min(1600, wide)), () => 'now').image
  const pen = new OffscreenCanvas(1, 1).getContext('2d')!
  const scale = image.naturalWidth / wide
  pen.drawImage(image, -Math.floor(at.x * scale), -Math.floor(at.y * scale))
  const [red = 0, green = 0, blue = 0, alpha = 0] = pen.getImageData(0, 0, 1, 1).data
  if (alpha === 0) {
    say('Nothing is there to pick a color from.')
    return ''
  }
  return [red, green, blue].map((each) => each.toString(16).padStart(2, '0')).join('')
}

// Space plays, unless the page is moved while it is held.
useKeys((event) =>
  event.key === ' ' && !(event.target instanceof Element && event.target.closest('button, a, [role="slider"]'))
    ? () => {
        if (!spaceDown.value) {
          spaceDown.value = true
          spaceUsed = false
        }
      }
    : undefined,
)
useEventListener(window, 'keyup', (event: KeyboardEvent) => {
  if (event.key === ' ' && spaceDown.value) {
    spaceDown.value = false
    if (!spaceUsed && !isElsewhere(event)) {
      playhead.playing = !playhead.playing
    }
  }
})
const outlined = computed(() => (taken.isHere || (drawing.hand === 'take' && hand.isDown.value) ? taken.outline : []))
const free = computed(() => outlined.value.length > 4 && hand.isDown.value)
const pulledBox = computed(() => {
  const box = hand.pulled.value
  return box && {
    x: Math.min(box.from.x, box.to.x),
    y: Math.min(box.from.y, box.to.y),
    width: Math.abs(box.to.x - box.from.x),
    height: Math.abs(box.to.y - box.from.y),
  }
})
const label = computed(() => `Easel: page ${playhead.index + 1} of ${store.frames.length}. Arrow keys move the pen, Enter puts it down and lifts it.`)
defineExpose({ view, focus: () => easel.value?.focus() })
</script>

<template>
  <div ref="easel" class="easel" :class="[drawing.hand, { panning: spaceDown }]" tabindex="0" role="application" :aria-label="label"
    @pointerdown="onDown" @pointermove="onMove" @pointerup="onUp" @pointercancel="onCancel" @wheel.prevent="onWheel" @keydown="onKey" @contextmenu.prevent>
    <loop-stage v-if="playhead.playing" :look="stageLook" :hard="few" whole class="playing" />
    <div v-show="!playhead.playing" class="sheet" :class="{ hard }" :style="[place, { background: page }]">
      <queued-picture v-if="under" :src="under" class="layer" />
      <canvas ref="shineCanvas" class="layer" :width="canvas.width" :height="canvas.height" aria-hidden="true" data-test="shine" />
      <canvas ref="inkCanvas" class="layer" :width="canvas.width" :height="canvas.height" role="img" aria-label="Ink of this page" data-test="ink" :data-ink="ink.picture.value" />
      <queued-picture v-if="over" :src="over" class="layer" />
      <div v-if="grid" class="layer grid" :style="gridStyle" />
      <svg class="layer" :viewBox="`0 0 ${canvas.width} ${canvas.height}`" preserveAspectRatio="none" aria-hidden="true">
        <template v-if="pulledBox">
          <rect v-if="drawing.hand === 'box'" class="pulled" :style="{ stroke: `#${pens.pen.color}`, strokeWidth: pens.pen.width }" v-bind="pulledBox" />
          <ellipse v-else class="pulled" :style="{ stroke: `#${pens.pen.color}`, strokeWidth: pens.pen.width }"
            :cx="pulledBox.x + pulledBox.width / 2" :cy="pulledBox.y + pulledBox.height / 2" :rx="pulledBox.width / 2" :ry="pulledBox.height / 2" />
        </template>
        <polyline v-if="free" class="ants" :points="outlined.join(' ')" />
        <template v-else-if="taken.box && outlined.length > 0">
          <rect class="ants" :x="taken.box.x" :y="taken.box.y" :width="taken.box.width" :height="taken.box.height" />
          <circle class="grip" :cx="taken.box.x + taken.box.width" :cy="taken.box.y + taken.box.height" :r="5 / view.scale.value" />
        </template>
        <path v-if="cursor" class="cursor" :class="{ down: keyDown }"
          :d="`M${cursor.x - 8 / view.scale.value} ${cursor.y}h${16 / view.scale.value}M${cursor.x} ${cursor.y - 8 / view.scale.value}v${16 / view.scale.value}`" />
      </svg>
    </div>
  </div>
</template>

<style scoped>
.easel {
  position: relative;
  overflow: hidden;
  height: 100%;
  border-radius: var(--round);
  touch-action: none;
  cursor: crosshair;
}

.easel:focus-visible {
  outline: none;
}

.easel:focus-visible .sheet {
  outline: 3px solid color-mix(in srgb, var(--ink) 78%, var(--rein));
}

.easel.panning {
  cursor: grab;
}

.easel.take {
  cursor: default;
}

.playing {
  position: absolute;
  inset: 12px;
  pointer-events: none;
}

.sheet {
  position: absolute;
  top: 50%;
  left: 50%;
  box-shadow: var(--shade);
  outline: 1px solid var(--line);
}

.layer {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
  user-select: none;
}

.hard .layer {
  image-rendering: pixelated;
}

.grid {
  background-image: linear-gradient(to right, #80808066 1px, transparent 1px),
    linear-gradient(to bottom, #80808066 1px, transparent 1px);
}

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
