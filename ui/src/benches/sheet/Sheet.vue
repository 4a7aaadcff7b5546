<script setup lang="ts">
import { mdiContentCopy, mdiPageFirst, mdiPageLast, mdiSwapHorizontal, mdiTrashCanOutline } from '@mdi/js'
import { nextTick, ref } from 'vue'
import AddStills from '@/gather/AddStills.vue'
import { gatherInto } from '@/gather/gather'
import { useFileDrop } from '@/gather/fileDrop'
import { useArranging } from '@/reel/arranging'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { useCardDrag } from './dragging'
import DelayPanel from './DelayPanel.vue'
import FrameCard from './FrameCard.vue'
import { neighborOf } from './gridKeys'
import LoopPlayer from './LoopPlayer.vue'
import SelectionBar from './SelectionBar.vue'

const store = useReel()
const selection = useSelection()
const playhead = usePlayhead()
const arranging = useArranging()
const grid = ref<HTMLElement | null>(null)
const menuAt = ref<[number, number] | undefined>()
const menuOpen = ref(false)

const cardDrag = useCardDrag(grid, (gap) => void arranging.moveTo(gap))
const fileDrop = useFileDrop((files) => gatherInto(files, store.reel?.id ?? null, arranging.gapAfterSelection()))

const ACTIONS = [
  { label: 'Reverse', icon: mdiSwapHorizontal, run: arranging.reverse },
  { label: 'Copy', icon: mdiContentCopy, run: () => arranging.copy() },
  { label: 'Move to the start', icon: mdiPageFirst, run: arranging.moveToStart },
  { label: 'Move to the end', icon: mdiPageLast, run: arranging.moveToEnd },
  { label: 'Remove', icon: mdiTrashCanOutline, run: arranging.remove },
]

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

/** The grid listens for its cards: hundreds of them need no handlers of their own. */
function frameAt(event: Event): number | null {
  const card = (event.target as Element).closest<HTMLElement>('[data-frame]')
  return card ? Number(card.dataset.frame) : null
}

/** Pressing on a chosen card may begin to drag all that are chosen; only letting go chooses it alone. */
function onCardDown(event: PointerEvent): void {
  const id = frameAt(event)
  if (event.button !== 0 || id === null) {
    return
  }
  const plain = !event.shiftKey && !event.ctrlKey && !event.metaKey
  const wasChosen = selection.set.has(id)
  if (!plain || !wasChosen) {
    choose(event, id)
  }
  if (plain) {
    cardDrag.press(event, () => {
      if (wasChosen) {
        choose(event, id)
      }
    })
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
  menuAt.value = [event.clientX, event.clientY]
  menuOpen.value = true
}

/** Arrow keys walk over the cards as over files: alone they choose, with Shift they stretch, with Ctrl they only walk. */
async function onKey(event: KeyboardEvent): Promise<void> {
  const from = selection.focused ?? store.ids[0]
  if (event.altKey || from === undefined || !grid.value) {
    return
  }
  if (event.ctrlKey && event.key === ' ') {
    event.preventDefault()
    selection.toggle(from)
    return
  }
  const to = neighborOf(grid.value, store.ids, from, event.key)
  if (to === null) {
    return
  }
  event.preventDefault()
  if (event.shiftKey) {
    selection.extendTo(to)
  } else if (event.ctrlKey) {
    selection.focused = to
  } else {
    selection.only(to)
    playhead.playing = false
    playhead.goTo(store.ids.indexOf(to))
  }
  await nextTick()
  grid.value.querySelector<HTMLElement>(`[data-frame="${to}"]`)?.focus()
}
</script>

<template>
  <div class="sheet" v-on="fileDrop.listeners">
    <section class="frames" aria-label="Frames">
      <selection-bar />
      <div class="scroller" @click.self="selection.none()">
        <div v-if="store.frames.length > 0" ref="grid" class="grid" role="listbox" aria-multiselectable="true"
          aria-label="Frames in playing order" @keydown="onKey" @click.self="selection.none()"
          @pointerdown="onCardDown" @contextmenu="onContextMenu" @focusin="selection.focused = frameAt($event)">
          <frame-card v-for="(frame, index) in store.frames" :key="frame.id" :frame="frame" :index="index"
            :reel="store.reel!.id" :canvas="store.reel!.canvas" :selected="selection.set.has(frame.id)"
            :dragged="cardDrag.drag.value !== null && selection.set.has(frame.id)"
            :tabindex="(selection.focused ?? store.ids[0]) === frame.id ? 0 : -1" />
          <div v-if="cardDrag.drag.value" class="mark" :style="cardDrag.drag.value.mark" />
        </div>
        <div v-else class="empty">
          <h2>No frames yet</h2>
          <p class="quiet">Drop stills here, paste them, or choose them. They come in counting order of their names.</p>
          <add-stills :to="{ reel: store.reel!.id, at: 0 }" prominent />
        </div>
      </div>
      <div v-if="cardDrag.drag.value" class="ghost" :style="cardDrag.drag.value.ghost">
        {{ selection.ids.length === 1 ? '1 frame' : `${selection.ids.length} frames` }}
      </div>
      <div v-if="fileDrop.over.value" class="drop-here">Drop to add them after the selection</div>
    </section>
    <aside class="side" aria-label="Player and time">
      <loop-player />
      <delay-panel />
    </aside>
    <v-menu v-model="menuOpen" :target="menuAt">
      <v-list density="compact" :aria-label="'Selection'">
        <v-list-item v-for="action in ACTIONS" :key="action.label" :prepend-icon="action.icon" :title="action.label"
          @click="action.run" />
      </v-list>
    </v-menu>
  </div>
</template>

<style scoped>
.sheet {
  display: grid;
  grid-template-columns: minmax(0, 1fr) clamp(320px, 32vw, 560px);
  height: 100%;
}

.frames {
  position: relative;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
}

.scroller {
  overflow-y: auto;
  padding: 4px 20px 20px;
}

.grid {
  position: relative;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(clamp(118px, 9.4vw, 190px), 1fr));
  gap: 10px;
}

.mark {
  position: absolute;
  width: 4px;
  border-radius: 2px;
  background: var(--rein);
  pointer-events: none;
}

.ghost {
  position: fixed;
  z-index: 10;
  padding: 6px 14px;
  border-radius: 8px;
  background: var(--ink);
  color: var(--card);
  font-weight: 650;
  pointer-events: none;
}

.drop-here {
  position: absolute;
  inset: 8px;
  display: grid;
  place-content: center;
  border: 3px dashed var(--rein);
  border-radius: 14px;
  background: color-mix(in srgb, var(--paper) 82%, transparent);
  font: 650 20px var(--v-font-heading);
  pointer-events: none;
}

.empty {
  display: grid;
  height: 100%;
  place-content: center;
  justify-items: center;
  gap: 8px;
  text-align: center;
}

.side {
  display: grid;
  align-content: start;
  gap: 16px;
  overflow-y: auto;
  padding: 14px 20px 20px;
  background: var(--card);
  border-left: 1px solid var(--line);
}

@media (max-width: 1080px) {
  .sheet {
    grid-template-columns: minmax(0, 1fr) 300px;
  }

  .scroller {
    padding: 4px 12px 12px;
  }

  .side {
    padding: 12px;
  }
}
</style>
