<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, nextTick, onBeforeUpdate, onUpdated, ref, shallowRef, watch } from 'vue'
import AddStills from '@/gather/AddStills.vue'
import { gatherInto } from '@/gather/gather'
import { useFileDrop } from '@/gather/fileDrop'
import DropMenu from '@/parts/DropMenu.vue'
import { useBarBelow } from '@/ground/messages'
import { framesText } from '@/parts/format'
import { useActions } from './actions'
import { useArranging } from './arranging'
import { usePlayhead } from '@/reel/playhead'
import { runTone } from '@/reel/runTones'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import ActionList from '@/parts/ActionList.vue'
import FrameCard from './FrameCard.vue'
import LoopPlayer from './LoopPlayer.vue'
import NoticeList from '@/reel/NoticeList.vue'
import { usePointerDrag } from '@/parts/pointerDrag'
import type { DragState, Place } from '@/parts/pointerDrag'
import { usePlateOffer } from './plateOffer'
import SelectionBar from './SelectionBar.vue'
import SheetDialogs from './SheetDialogs.vue'
import { useSheetKeys } from './sheetKeys'
import { styleOf, useSheetLayout } from './sheetLayout'
import type { Box } from './sheetLayout'
import SizeSlider from './SizeSlider.vue'
import TimePanel from './TimePanel.vue'

const store = useReel()
const selection = useSelection()
const playhead = usePlayhead()
const arranging = useArranging()
const { groups } = useActions()
useSheetKeys()
usePlateOffer()
const scroller = ref<HTMLElement | null>(null)
const grid = ref<HTMLElement | null>(null)
const foot = ref<HTMLElement | null>(null)
useBarBelow(foot)
const menuAt = ref<[number, number] | undefined>()
const menuOpen = ref(false)
/** As someone chose, or 0. */
const cardWidth = useLocalStorage('dobbin.cardWidth', 0)

/** What is left out, or how wide the file is, one knows while arranging; Share says it. */
const notices = computed(() =>
  (store.rhythm?.notices ?? []).filter(({ kind }) => kind !== 'LEFT_OUT' && kind !== 'WIDE'),
)
const canvas = computed(() => store.reel?.canvas ?? { width: 3, height: 2 })
const layout = useSheetLayout(
  scroller,
  () => store.frames,
  () => store.reel?.runs ?? [],
  () => canvas.value,
  () => cardWidth.value,
)
const drag = usePointerDrag(onSurface, scroller)
/** Where dragged cards would go, or the rectangle that chooses. */
const target = shallowRef<{ gap: number; mark: Box } | null>(null)
const band = shallowRef<Box | null>(null)
/** Files that are dropped go where the mark is; pasted ones, after the selection. */
const fileDrop = useFileDrop(
  (files) => {
    const after = target.value ? arranging.afterGap(target.value.gap) : arranging.lastAffected()
    void gatherInto(files, { reel: store.reel!.id, after })
  },
  (event) => (target.value = event && store.frames.length > 0 ? targetAt(onSurface(event)) : null),
)

/** Where an event is on the surface of cards, scrolled away or not. */
function onSurface(event: MouseEvent): Place {
  const element = scroller.value as HTMLElement
  const box = element.getBoundingClientRect()
  const style = getComputedStyle(element)
  return {
    x: event.clientX - box.left - parseFloat(style.paddingLeft),
    y: event.clientY - box.top - parseFloat(style.paddingTop) + element.scrollTop,
  }
}

function targetAt({ x, y }: Place): { gap: number; mark: Box } {
  const gap = layout.gapAt(x, y)
  return { gap, mark: layout.markOf(gap, y) }
}

function choose(event: PointerEvent | MouseEvent, id: number): void {
  if (event.shiftKey) {
    selection.extendTo(id)
  } else if (event.ctrlKey || event.metaKey) {
    selection.toggle(id)
  } else {
    selection.only(id)
    playhead.goTo(store.ids.indexOf(id))
  }
}

function frameAt(event: Event): number | null {
  const card = (event.target as Element).closest<HTMLElement>('[data-frame]')
  return card ? Number(card.dataset.frame) : null
}

function onDown(event: PointerEvent): void {
  const id = frameAt(event)
  if (event.button !== 0 || (event.target as Element).closest('button')) {
    return
  }
  if (id === null) {
    bandFrom(event)
  } else {
    cardDown(event, id)
  }
}

/**
 * Pressing on a chosen card may begin to drag all that are chosen; only letting go chooses it alone. A finger may be about to
 * scroll: it chooses by a tap, or once it has rested and drags.
 */
function cardDown(event: PointerEvent, id: number): void {
  const plain = !event.shiftKey && !event.ctrlKey && !event.metaKey
  const wasChosen = selection.set.has(id)
  const finger = event.pointerType === 'touch'
  if (!finger && (!plain || !wasChosen)) {
    choose(event, id)
  }
  if (plain) {
    drag.press(event, {
      fingerRests: true,
      click: () => (finger || wasChosen) && choose(event, id),
      move: ({ to }) => {
        if (!selection.set.has(id)) choose(event, id)
        target.value = targetAt(to)
      },
      drop: () => {
        const gap = target.value?.gap ?? 0
        target.value = null
        void arranging.moveTo(gap)
      },
      cancel: () => (target.value = null),
    })
  }
}

/** Dragging over bare ground chooses what the rectangle touches; with Ctrl, more than was chosen before. */
function bandFrom(event: PointerEvent): void {
  const before = event.ctrlKey || event.metaKey || event.shiftKey ? selection.ids : []
  drag.press(event, {
    click: () => before.length === 0 && selection.none(),
    move: (state) => {
      band.value = rectangle(state)
      const touched = layout.touchedBy(band.value).map((index) => store.ids[index] as number)
      selection.of([...new Set([...before, ...touched])])
    },
    drop: () => (band.value = null),
    cancel: () => {
      band.value = null
      selection.of(before)
    },
  })
}

function placeText(gap: number): string {
  return gap === 0 ? 'at the start' : gap === store.ids.length ? 'at the end' : `after frame ${gap}`
}

function rectangle({ from, to }: DragState): Box {
  return {
    x: Math.min(from.x, to.x),
    y: Math.min(from.y, to.y),
    width: Math.abs(to.x - from.x),
    height: Math.abs(to.y - from.y),
  }
}

function onContextMenu(event: MouseEvent): void {
  const id = frameAt(event)
  if (id === null) {
    return
  }
  event.preventDefault()
  if (!selection.set.has(id)) {
    selection.only(id)
  }
  const card = (event.target as Element).closest('[data-frame]') as Element
  const box = card.getBoundingClientRect()
  const byKey = event.clientX === 0 && event.clientY === 0
  menuAt.value = byKey ? [box.left + 20, box.top + 20] : [event.clientX, event.clientY]
  menuOpen.value = true
}

/** Arrow keys walk over the cards as over files: alone they choose, with Shift they stretch, with Ctrl they only walk. */
async function onKey(event: KeyboardEvent): Promise<void> {
  const from = selection.focused ?? store.ids[0]
  if (event.altKey || from === undefined) {
    return
  }
  if (event.ctrlKey && event.key === ' ') {
    event.preventDefault()
    selection.toggle(from)
    return
  }
  const to = layout.neighborOf(store.ids.indexOf(from), event.key)
  if (to === null) {
    return
  }
  event.preventDefault()
  const id = store.ids[to] as number
  if (event.shiftKey) {
    selection.extendTo(id)
  } else if (event.ctrlKey) {
    selection.focused = id
  } else {
    selection.only(id)
    playhead.playing = false
    playhead.goTo(to)
  }
  layout.reveal(to)
  await nextTick()
  grid.value?.querySelector<HTMLElement>(`[data-frame="${id}"]`)?.focus({ preventScroll: true })
}

/** A card that is moved or removed loses the focus: the one where the keyboard was last gets it. */
let works = false
onBeforeUpdate(() => {
  if (document.activeElement !== document.body) {
    works = grid.value?.contains(document.activeElement) ?? false
  }
})
onUpdated(() => {
  if (works && document.activeElement === document.body && selection.focused !== null) {
    grid.value?.querySelector<HTMLElement>(`[data-frame="${selection.focused}"]`)?.focus({ preventScroll: true })
  }
})

/** What was added comes into view: its end, then its beginning, so that a short row of frames is seen whole. */
watch(
  () => selection.brought,
  async (brought) => {
    await nextTick()
    const rows = brought.map((id) => store.ids.indexOf(id)).filter((row) => row >= 0)
    if (rows.length > 0) {
      layout.reveal(Math.max(...rows))
      layout.reveal(Math.min(...rows))
    }
  },
)

/** The card that Tab leads to: where the keyboard was last, if it is in view. */
const reachable = computed(() => {
  const seen = layout.inView.value
  const focused = seen.find(({ frame }) => frame.id === selection.focused)
  return (focused ?? seen[0])?.frame.id
})
</script>

<template>
  <div class="sheet" v-on="fileDrop.listeners">
    <section class="frames" aria-label="Frames">
      <selection-bar />
      <div ref="scroller" class="scroller" @pointerdown="onDown">
        <div
          v-if="store.frames.length > 0"
          ref="grid"
          class="grid"
          role="listbox"
          aria-multiselectable="true"
          aria-label="Frames in playing order"
          :style="{ height: `${layout.totalHeight.value}px` }"
          @keydown="onKey"
          @contextmenu="onContextMenu"
          @focusin="selection.focused = frameAt($event)"
        >
          <frame-card
            v-for="{ frame, index } in layout.inView.value"
            :key="frame.id"
            :frame="frame"
            :index="index"
            :reel="store.reel!.id"
            :canvas="canvas"
            :picture-height="layout.pictureHeight.value"
            :selected="selection.set.has(frame.id)"
            :lifted="
              (drag.state.value !== null && target !== null && selection.set.has(frame.id)) ||
              arranging.cutIds.has(frame.id)
            "
            :style="styleOf(layout.boxOf(index))"
            :tabindex="reachable === frame.id ? 0 : -1"
            :aria-setsize="store.frames.length"
            :aria-posinset="index + 1"
          />
        </div>
        <div v-if="store.frames.length > 0" class="bands">
          <button
            v-for="each in layout.bands.value"
            :key="`${each.run.id} ${each.box.y}`"
            type="button"
            class="band"
            :style="{ ...styleOf(each.box), ...runTone(each.run) }"
            :title="`Select the run “${each.run.name}”`"
            @click="selection.run(each.run.id)"
          >
            {{ each.begins ? each.run.name : `… ${each.run.name}` }}
          </button>
          <div v-if="target" class="mark" :style="styleOf(target.mark)" />
          <div v-if="band" class="rubber" :style="styleOf(band)" />
        </div>
        <div v-else class="empty">
          <h2>No frames yet</h2>
          <p class="quiet">
            Drop stills here, paste them, or choose them. They come in natural sort order of their names.
          </p>
          <add-stills :to="store.reel!.id" />
        </div>
      </div>
      <div ref="foot" class="foot">
        <size-slider v-if="store.frames.length > 0" v-model="cardWidth" :now="layout.cardWidth.value" />
      </div>
      <div
        v-if="target && drag.state.value"
        class="ghost"
        :style="{ left: `${drag.state.value.event.clientX + 14}px`, top: `${drag.state.value.event.clientY + 10}px` }"
      >
        {{ framesText(selection.ids.length) }} {{ placeText(target.gap) }}
      </div>
      <div v-if="fileDrop.over.value" class="drop-here">
        <span>{{ target ? `Drop to add them ${placeText(target.gap)}` : 'Drop to begin' }}</span>
      </div>
    </section>
    <aside class="side" aria-label="Player and time">
      <loop-player />
      <time-panel />
      <notice-list :notices="notices" />
    </aside>
    <drop-menu v-model="menuOpen" :target="menuAt">
      <action-list :groups="groups" label="Selection" />
    </drop-menu>
    <sheet-dialogs />
  </div>
</template>

<style scoped src="./sheet.css"></style>
