<script setup lang="ts">
import {
  mdiChevronDown,
  mdiFitToScreenOutline,
  mdiMagnifyMinusOutline,
  mdiMagnifyPlusOutline,
  mdiPause,
  mdiPlay,
  mdiRotateLeft,
  mdiRotateRight,
} from '@mdi/js'
import { computed, ref } from 'vue'
import { nameOf, useKeys } from '@/ground/keys'
import { useBarBelow } from '@/ground/messages'
import ActionList from '@/parts/ActionList.vue'
import DropMenu from '@/parts/DropMenu.vue'
import { hasFewPixels } from '@/parts/fewPixels'
import { usePlayhead } from '@/reel/playhead'
import { usePlaying } from '@/reel/playing'
import { useReel } from '@/reel/store'
import PageColors from '@/stage/PageColors.vue'
import { useAsking } from './asking'
import { HANDS, useDrawing } from './drawing'
import Easel from './Easel.vue'
import EaselNotices from './EaselNotices.vue'
import ImprintDialog from './ImprintDialog.vue'
import { useInkActions } from './inkActions'
import InkWordsDialog from './InkWordsDialog.vue'
import NeighborPage from './NeighborPage.vue'
import PagesDialog from './PagesDialog.vue'
import type { Place } from './pageView'
import { usePens } from './pens'
import PenTray from './PenTray.vue'
import RecolorDialog from './RecolorDialog.vue'
import { useTaken } from './taken'

/** Frames made by hand: the page on its easel, its neighbors beside it, the pens beneath. */
const MIRRORS = ['NONE', 'LEFT_RIGHT', 'UP_DOWN', 'BOTH'] as const
const WIDER = 1.2

const store = useReel()
const playhead = usePlayhead()
const drawing = useDrawing()
const pens = usePens()
const taken = useTaken()
const asking = useAsking()
const actions = useInkActions()
const easel = ref<InstanceType<typeof Easel> | null>(null)
const tray = ref<HTMLElement | null>(null)
const wordsAt = ref<Place>({ x: 0, y: 0 })
// One comes here to draw: the page stands still until it is played.
playhead.playing = false
usePlaying()
useBarBelow(tray)

const few = computed(() => store.reel !== null && hasFewPixels(store.reel.canvas))
const before = computed(() => neighbor(-1))
const after = computed(() => neighbor(1))
const title = computed(() => {
  const content = drawing.frame?.content
  const alone = content?.kind === 'card' && content.background === '' && content.text === ''
  return drawing.frame
    ? `Page ${playhead.index + 1} of ${store.frames.length}, ${alone ? 'ink alone' : 'over ' + drawing.frame.name}`
    : ''
})
const zoomText = computed(() => `${Math.round(100 * (easel.value?.view.scale.value ?? 1))} %`)

function neighbor(by: number) {
  const count = store.frames.length
  const place = (((playhead.index + by) % count) + count) % count
  const frame = store.frames[place]
  return frame && count > 1 ? { frame, number: place + 1 } : null
}

function askWords(at: Place): void {
  wordsAt.value = at
  asking.open('words')
}

function widen(by: number): void {
  const width = by > 1 ? Math.ceil(pens.pen.width * by) : Math.floor(pens.pen.width * by)
  pens.change({ width: Math.max(1, Math.min(500, width)) })
}

function mirrorNext(): void {
  const next = (MIRRORS.indexOf(drawing.settings.mirroring) + 1) % MIRRORS.length
  drawing.set({ mirroring: MIRRORS[next] ?? 'NONE' })
}

useKeys((event) => {
  const key = nameOf(event)
  if (event.ctrlKey || event.metaKey) {
    return {
      c: taken.isHere ? taken.copy : undefined,
      v: taken.copied ? () => void taken.paste() : undefined,
      a: takeAll,
    }[key]
  }
  if (event.altKey) {
    return undefined
  }
  if (/^[1-9]$/.test(key) && pens.pens[Number(key) - 1]) {
    return () => pens.take(Number(key) - 1)
  }
  const hand = HANDS.find((each) => each.key === key && !event.shiftKey)
  const view = easel.value?.view
  return hand
    ? () => (drawing.hand = hand.value)
    : {
        n: () => drawing.addPage(event.shiftKey ? 'copy' : 'empty'),
        k: () => drawing.addPage('still'),
        ',': () => drawing.flip(-1),
        '.': () => drawing.flip(1),
        '[': () => widen(1 / WIDER),
        ']': () => widen(WIDER),
        s: () => drawing.set({ shines: !drawing.settings.shines }),
        m: mirrorNext,
        g: () => drawing.set({ grid: !drawing.settings.grid }),
        '+': () => view?.zoomIn(),
        '=': () => view?.zoomIn(),
        '-': () => view?.zoomOut(),
        '0': () => view?.fit(),
        a: () => view?.actual(),
        u: () => view?.turnBy(-1),
        i: () => view?.turnBy(1),
        Delete: taken.isHere ? taken.remove : undefined,
        Escape: taken.isHere ? taken.letGo : undefined,
      }[key]
})

/** What is pressed with the pointer gives the keys back to the page, so that Space plays and arrows draw. */
function backToEasel(event: MouseEvent): void {
  const pressed =
    event.target instanceof Element &&
    event.target.closest('.foot .chip, .foot .swatch, .foot .pen, .right .buttons button')
  if (pressed && event.detail > 0) {
    easel.value?.focus()
  }
}

function takeAll(): void {
  drawing.hand = 'take'
  taken.all()
}
</script>

<template>
  <div v-if="store.frames.length === 0" class="empty">
    <h2>Nothing to draw on yet</h2>
    <p class="quiet">
      Begin with an empty page of {{ store.reel?.canvas.width }} × {{ store.reel?.canvas.height }} pixels, or add stills
      on the Sheet to draw over them.
    </p>
    <v-btn color="primary" variant="flat" @click="drawing.addPage('empty')">The first page</v-btn>
  </div>
  <div v-else class="draw" @click="backToEasel">
    <div class="beside left">
      <div class="buttons">
        <v-btn
          size="small"
          variant="outlined"
          :prepend-icon="playhead.playing ? mdiPause : mdiPlay"
          title="Space"
          @click="playhead.playing = !playhead.playing"
          >{{ playhead.playing ? 'Stop' : 'Play from here' }}</v-btn
        >
        <drop-menu>
          <template #activator="{ props: activator }"
            ><v-btn v-bind="activator" size="small" variant="outlined" :append-icon="mdiChevronDown"
              >Ink</v-btn
            ></template
          >
          <action-list :groups="actions" label="What to do with the ink" />
        </drop-menu>
      </div>
      <neighbor-page
        v-if="before"
        :frame="before.frame"
        :number="before.number"
        side="before"
        :hard="few"
        @go="drawing.flip(-1)"
      />
    </div>
    <div class="middle">
      <div class="bar">
        <h2 class="title" :title="title">{{ title }}</h2>
        <page-colors />
        <v-btn
          :icon="mdiMagnifyMinusOutline"
          size="x-small"
          variant="text"
          aria-label="Zoom out"
          title="Zoom out (−)"
          @click="easel?.view.zoomOut()"
        />
        <span class="zoom quiet" role="status">{{ zoomText }}</span>
        <v-btn
          :icon="mdiMagnifyPlusOutline"
          size="x-small"
          variant="text"
          aria-label="Zoom in"
          title="Zoom in (+)"
          @click="easel?.view.zoomIn()"
        />
        <v-btn
          :icon="mdiFitToScreenOutline"
          size="x-small"
          variant="text"
          aria-label="Fit the page in"
          title="Fit the page in (0)"
          @click="easel?.view.fit()"
        />
        <v-btn
          :icon="mdiRotateLeft"
          size="x-small"
          variant="text"
          aria-label="Turn the page left"
          title="Turn the page left (U)"
          @click="easel?.view.turnBy(-1)"
        />
        <v-btn
          :icon="mdiRotateRight"
          size="x-small"
          variant="text"
          aria-label="Turn the page right"
          title="Turn the page right (I)"
          @click="easel?.view.turnBy(1)"
        />
      </div>
      <div class="stand">
        <easel ref="easel" @words="askWords" />
        <easel-notices />
      </div>
    </div>
    <div class="beside right">
      <div class="buttons">
        <v-btn
          size="small"
          color="primary"
          variant="flat"
          title="A new empty page after this one (N)"
          @click="drawing.addPage('empty')"
          >New page</v-btn
        >
        <v-btn
          size="small"
          variant="outlined"
          title="A new page that starts as a copy of this one (Shift + N)"
          @click="drawing.addPage('copy')"
          >Copy</v-btn
        >
        <v-btn
          size="small"
          variant="outlined"
          title="A new page that keeps the still, without the ink (K)"
          @click="drawing.addPage('still')"
          >Still</v-btn
        >
      </div>
      <neighbor-page
        v-if="after"
        :frame="after.frame"
        :number="after.number"
        side="after"
        :hard="few"
        @go="drawing.flip(1)"
      />
    </div>
    <div ref="tray" class="foot"><pen-tray /></div>
    <ink-words-dialog :at="wordsAt" />
    <recolor-dialog />
    <pages-dialog />
    <imprint-dialog />
  </div>
</template>

<style scoped src="./draw.css"></style>
