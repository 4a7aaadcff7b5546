<script setup lang="ts">
import { useElementSize, useScroll } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { delayText } from '@/parts/format'
import { usePointerDrag } from '@/parts/pointerDrag'
import QueuedPicture from '@/parts/QueuedPicture.vue'
import { frameUrl } from '@/api/urls'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useCells } from './cells'
import type { Place } from './cells'
import { exposuresOf, exposureText } from './exposure'
import type { Exposure } from './exposure'
import { useMoving } from './moving'

/** Frames run down, cut-outs run across, the lowest first; a dot is a pose, a thin line a glide, a thick one stays. */
const ROW = 29
const MARGIN_ROWS = 6
const THUMB = 240
/** Number, picture and delay. */
const FIXED = [32, 44, 52]
const NARROWEST = 52

const emit = defineEmits<{ properties: [] }>()
const store = useReel()
const playhead = usePlayhead()
const moving = useMoving()
const cells = useCells()
const scroller = ref<HTMLElement | null>(null)
const { height } = useElementSize(scroller)
const { y: scrolled } = useScroll(scroller)

const columns = computed(() => {
  return moving.cutouts.map((cutout, i) => {
    const track = moving.tracks[i]
    return { cutout, track, exposures: track ? exposuresOf(cutout, track, store.ids) : [] }
  })
})
const rows = computed(() => {
  const from = Math.max(0, Math.floor(scrolled.value / ROW) - MARGIN_ROWS)
  const to = Math.min(store.frames.length, Math.ceil((scrolled.value + height.value) / ROW) + MARGIN_ROWS)
  return store.frames.slice(from, to).map((frame, i) => ({ frame, row: from + i }))
})
const layout = computed(() => ({
  gridTemplateColumns: `${FIXED.map((width) => `${width}px`).join(' ')} repeat(${columns.value.length}, minmax(${NARROWEST}px, 110px)) minmax(0, 1fr)`,
  minWidth: `${FIXED.reduce((sum, width) => sum + width, 0) + NARROWEST * columns.value.length}px`,
}))

/** The small pictures wait until the stage shows what was changed. */
const thumbs = shallowRef(new Map<number, string>())
watch(
  () => [store.frames, moving.drafts.size] as const,
  ([frames, drafts]) => {
    if (drafts === 0) {
      thumbs.value = new Map(frames.map((frame) => [frame.id, frame.drawn]))
    }
  },
  { immediate: true },
)

/** Where poses are dragged to, in rows; a column is dragged by its head. */
const dragged = ref<{ by: number } | null>(null)
const headOver = ref<number | null>(null)
const drag = usePointerDrag()

function placeOf(event: Event): Place | null {
  const cell = (event.target as Element).closest<HTMLElement>('[data-column]')
  return cell ? { row: Number(cell.dataset.row), column: Number(cell.dataset.column) } : null
}

function onDown(event: PointerEvent): void {
  const place = placeOf(event)
  if (event.button !== 0 || !place) {
    return
  }
  const cutout = moving.cutouts[place.column]?.id ?? 0
  const frame = store.ids[place.row] ?? 0
  const wasChosen = cells.has(cutout, frame)
  const plain = !event.shiftKey && !event.ctrlKey && !event.metaKey
  const chooseAlone = (): void => {
    cells.none()
    cells.goTo(place, 'only')
  }
  if (!plain) {
    cells.goTo(place, event.shiftKey ? 'extend' : 'toggle')
  } else if (!wasChosen) {
    cells.goTo(place, 'only')
  }
  if (columns.value[place.column]?.exposures[place.row]?.key) {
    drag.press(event, {
      click: () => wasChosen && plain && chooseAlone(),
      move: ({ from, to }) => (dragged.value = { by: Math.round((to.y - from.y) / ROW) }),
      drop: () => void movePoses(),
      cancel: () => (dragged.value = null),
    })
  } else if (wasChosen && plain) {
    chooseAlone()
  }
}

async function movePoses(): Promise<void> {
  const by = dragged.value?.by ?? 0
  dragged.value = null
  await cells.moveBy(by)
}

/** Lays a cut-out higher or lower: where its head is let go. */
function headDown(event: PointerEvent, id: number): void {
  if (event.button === 0) {
    drag.press(event, {
      move: ({ to }) => {
        const head = document.elementFromPoint(to.x, to.y)?.closest<HTMLElement>('[data-head]')
        const over = head ? Number(head.dataset.head) : null
        headOver.value = over !== null && moving.cutouts[over]?.id !== id ? over : null
      },
      drop: () => void layOver(id),
      cancel: () => (headOver.value = null),
    })
  }
}

async function layOver(id: number): Promise<void> {
  const over = headOver.value
  headOver.value = null
  if (over !== null) {
    const order = moving.cutouts.map((each) => each.id)
    const rightward = order.indexOf(id) < over
    await store.dispatch({ type: 'orderCutout', cutout: id, over: (rightward ? order[over] : order[over - 1]) ?? 0 })
  }
}

async function onKey(event: KeyboardEvent): Promise<void> {
  const { row, column } = cells.cursor
  const steps: Record<string, Place> = {
    ArrowUp: { row: row - 1, column },
    ArrowDown: { row: row + 1, column },
    ArrowLeft: { row, column: column - 1 },
    ArrowRight: { row, column: column + 1 },
    Home: { row: 0, column },
    End: { row: store.ids.length - 1, column },
  }
  const to = steps[event.key]
  const run = command(event)
  if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    event.preventDefault()
    const by = event.key === 'ArrowUp' ? -1 : 1
    cells.cursor = { row: row + by, column }
    await cells.moveBy(by)
  } else if (run) {
    event.preventDefault()
    await run()
  } else if (to && !event.ctrlKey && store.ids[to.row] !== undefined && moving.cutouts[to.column]) {
    event.preventDefault()
    cells.goTo(to, event.shiftKey ? 'extend' : 'only')
    reveal(to.row)
    await nextTick()
    scroller.value?.querySelector<HTMLElement>(`[data-row="${to.row}"][data-column="${to.column}"]`)?.focus()
  }
}

function command(event: KeyboardEvent): (() => unknown) | undefined {
  if (event.ctrlKey || event.metaKey) {
    return { c: cells.copy, v: cells.copied.length > 0 ? cells.paste : undefined }[event.key.toLowerCase()]
  }
  return {
    Enter: cells.setPoses,
    // Beside a cell only poses go; a cut-out is removed where it is named.
    Delete: onHead(event) ? undefined : cells.remove,
    Backspace: onHead(event) ? undefined : cells.remove,
    Escape: cells.none,
  }[event.key]
}

const onHead = (event: Event): boolean => (event.target as Element).closest('.head') !== null

function reveal(row: number): void {
  const element = scroller.value
  if (!element) {
    return
  }
  const top = row * ROW
  if (top < element.scrollTop) {
    element.scrollTop = top
  } else if (top + 2 * ROW > element.scrollTop + element.clientHeight) {
    element.scrollTop = top + 2 * ROW - element.clientHeight
  }
}
watch(
  () => playhead.index,
  (row) => reveal(row),
)

const isChosen = (cutout: number, frame: number, row: number): boolean => {
  const by = dragged.value?.by ?? 0
  return by === 0 ? cells.has(cutout, frame) : cells.has(cutout, store.ids[row - by] ?? 0)
}
const isThere = (column: number, row: number): boolean => columns.value[column]?.track?.stops[row]?.there ?? false
const partsOf = (exposure: Exposure | undefined): Exposure =>
  exposure ?? { key: false, up: 'none', down: 'none', letter: '' }

function stopAt(row: number): void {
  playhead.playing = false
  playhead.goTo(row)
}
</script>

<template>
  <div
    ref="scroller"
    class="exposure"
    role="grid"
    aria-label="Exposure sheet"
    aria-multiselectable="true"
    :aria-rowcount="store.frames.length + 1"
    :aria-colcount="columns.length + 1"
    @keydown="onKey"
  >
    <div class="heads" role="row" aria-rowindex="1" :style="layout">
      <span role="columnheader" class="corner">frame</span>
      <div
        v-for="({ cutout }, column) in columns"
        :key="cutout.id"
        role="columnheader"
        class="column"
        :class="{ over: headOver === column }"
        :data-head="column"
        @pointerdown="headDown($event, cutout.id)"
      >
        <button
          type="button"
          class="head"
          :class="{ chosen: moving.chosen.has(cutout.id), hidden: cutout.hidden }"
          :aria-pressed="moving.chosen.has(cutout.id)"
          :title="`${cutout.name}: click to choose, drag to lay it higher or lower, press twice for its properties`"
          @click="moving.choose(cutout.id, $event.ctrlKey || $event.shiftKey || $event.metaKey)"
          @dblclick="emit('properties')"
        >
          <span class="name">{{ cutout.name }}</span>
          <small v-if="cutout.hidden || cutout.under">{{ cutout.hidden ? 'hidden' : 'under' }}</small>
        </button>
      </div>
    </div>
    <div role="rowgroup" class="rows" :style="{ height: `${store.frames.length * ROW}px` }" @pointerdown="onDown">
      <div
        v-for="{ frame, row } in rows"
        :key="frame.id"
        role="row"
        class="row"
        :aria-rowindex="row + 2"
        :class="{ here: row === playhead.index, out: frame.leftOut }"
        :style="{ ...layout, top: `${row * ROW}px` }"
      >
        <div role="rowheader" class="numbered">
          <button type="button" class="number" tabindex="-1" :aria-label="`Frame ${row + 1}`" @click="stopAt(row)">
            {{ row + 1 }}
          </button>
        </div>
        <queued-picture :src="frameUrl(store.reel!.id, thumbs.get(frame.id) ?? frame.drawn, THUMB)" class="thumb" />
        <span class="delay">{{ delayText(frame.delayMillis) }}</span>
        <div
          v-for="({ cutout, exposures }, column) in columns"
          :key="cutout.id"
          role="gridcell"
          class="cell"
          :class="{ chosen: isChosen(cutout.id, frame.id, row), own: moving.chosen.has(cutout.id) }"
          :data-row="row"
          :data-column="column"
          :tabindex="cells.cursor.row === row && cells.cursor.column === column ? 0 : -1"
          :aria-selected="cells.has(cutout.id, frame.id)"
          :aria-label="exposureText(cutout.name, row, partsOf(exposures[row]), isThere(column, row))"
        >
          <i class="up" :class="partsOf(exposures[row]).up" />
          <i class="down" :class="partsOf(exposures[row]).down" />
          <b v-if="partsOf(exposures[row]).key" class="key" />
          <span v-if="partsOf(exposures[row]).letter" class="letter">{{ partsOf(exposures[row]).letter }}</span>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped src="./exposure.css"></style>
