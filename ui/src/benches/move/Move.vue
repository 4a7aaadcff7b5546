<script setup lang="ts">
import {
  mdiAlignHorizontalLeft,
  mdiChevronDown,
  mdiContentCut,
  mdiDotsHorizontal,
  mdiFormatTextVariant,
  mdiImageMultipleOutline,
  mdiImageOutline,
  mdiImagePlusOutline,
  mdiPause,
  mdiPlay,
  mdiShapeOutline,
} from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { useKeys } from '@/ground/keys'
import { useBarBelow } from '@/ground/messages'
import AddStills from '@/gather/AddStills.vue'
import FileChooser from '@/gather/FileChooser.vue'
import { useFileDrop } from '@/gather/fileDrop'
import type { Gatherable } from '@/gather/gatherable'
import ActionList from '@/parts/ActionList.vue'
import type { Action } from '@/parts/action'
import { useAsking } from './asking'
import DropMenu from '@/parts/DropMenu.vue'
import { usePlayhead } from '@/reel/playhead'
import { usePlaying } from '@/reel/playing'
import { useReel } from '@/reel/store'
import CellBar from './CellBar.vue'
import CutoutDialog from './CutoutDialog.vue'
import { useCutoutActions } from './cutoutActions'
import ExposureSheet from './ExposureSheet.vue'
import HideDialog from './HideDialog.vue'
import MotionDialog from './MotionDialog.vue'
import MoveStage from './MoveStage.vue'
import { useMoving } from './moving'
import { useNewCutouts } from './newCutouts'
import PoseBar from './PoseBar.vue'
import PoseFields from './PoseFields.vue'
import type { Box, Point } from './poses'
import ShapeDialog from './ShapeDialog.vue'
import { followMotion } from './stageDrag'
import SurroundingsDialog from './SurroundingsDialog.vue'
import TweenDialog from './TweenDialog.vue'
import { ALIGNMENTS } from './words'
import WordsDialog from './WordsDialog.vue'

/** Cut-outs over many frames: on the left when, on the right where. */
const store = useReel()
const playhead = usePlayhead()
const asking = useAsking()
const moving = useMoving()
const made = useNewCutouts()
const stage = ref<InstanceType<typeof MoveStage> | null>(null)
const bars = ref<HTMLElement | null>(null)
const chooser = ref<InstanceType<typeof FileChooser> | null>(null)
/** What chosen files are for. */
const purpose = ref<'each' | 'cycle' | 'more'>('each')
/** The frames over which a path is drawn. */
let pathRange = { firstFrame: 0, lastFrame: 0 }

/** What is asked is about the frame one sees; the loop does not run away under it. */
watch(
  () => asking.dialog,
  (dialog) => {
    if (dialog) playhead.playing = false
  },
)
useKeys((event) => (moving.ids.length > 0 ? { Delete: moving.remove, Backspace: moving.remove }[event.key] : undefined))
usePlaying()
useBarBelow(bars)
const fileDrop = useFileDrop((files) => made.fromFiles(files, false))

function chooseFor(what: typeof purpose.value): void {
  purpose.value = what
  void chooser.value?.chooseFiles()
}

function take(files: Gatherable[]): void {
  if (purpose.value === 'more') {
    made.intoCycle(files)
  } else {
    made.fromFiles(files, purpose.value === 'cycle')
  }
}

const ways = computed<Action[][]>(() => [
  [
    { label: 'Pictures…', icon: mdiImagePlusOutline, enabled: true, run: () => chooseFor('each') },
    { label: 'A cycle of pictures…', icon: mdiImageMultipleOutline, enabled: true, run: () => chooseFor('cycle') },
    { label: 'Words…', icon: mdiFormatTextVariant, enabled: true, run: () => asking.art('words', null) },
    { label: 'A shape…', icon: mdiShapeOutline, enabled: true, run: () => asking.art('shape', null) },
  ],
  [
    { label: 'This frame', icon: mdiImageOutline, enabled: true, run: made.fromFrame },
    { label: 'A box on this frame…', icon: mdiContentCut, enabled: true, run: () => onStage('box') },
  ],
])
const actions = useCutoutActions(
  () => chooseFor('more'),
  () => onStage('pivot'),
)
const alignments = computed<Action[][]>(() => [
  ALIGNMENTS.map(({ value, title }) => ({
    label: title,
    icon: mdiAlignHorizontalLeft,
    enabled: value.startsWith('SPREAD') ? moving.ids.length > 2 : moving.ids.length > 0,
    run: () => moving.align(value),
  })),
])

function onStage(tool: 'box' | 'path' | 'pivot'): void {
  playhead.playing = false
  stage.value?.arm(tool)
}

function drawPath(range: typeof pathRange): void {
  pathRange = range
  onStage('path')
}

function follow(points: Point[]): void {
  void moving.move(followMotion(points), pathRange.firstFrame, pathRange.lastFrame)
}

const cut = (box: Box): void => void made.fromBox(box)

const title = computed(() => {
  const { single, ids } = moving
  return single
    ? `${single.cutout.name} at frame ${playhead.index + 1}`
    : ids.length > 1
      ? `${ids.length} cut-outs at frame ${playhead.index + 1}`
      : `Frame ${playhead.index + 1}`
})
const where = computed(() => {
  const single = moving.single
  if (!single) {
    return moving.cutouts.length > 0 ? 'press on a cut-out to choose it' : ''
  }
  if (!single.stop.there) {
    return 'not there'
  }
  const rows = single.cutout.keys.map((key) => store.ids.indexOf(key.frame)).sort((a, b) => a - b)
  if (rows.includes(playhead.index)) {
    return rows.length === 1 ? 'its only pose' : 'a pose of its own'
  }
  const before = rows.findLast((row) => row < playhead.index)
  const after = rows.find((row) => row > playhead.index)
  return before === undefined
    ? `as in its first pose, at ${(after ?? 0) + 1}`
    : after === undefined
      ? `as in its last pose, at ${before + 1}`
      : `between its poses at ${before + 1} and ${after + 1}`
})

function changeArt(id: number): void {
  const kind = moving.cutouts.find((each) => each.id === id)?.art.kind
  if (kind === 'words' || kind === 'shape') {
    asking.art(kind, id)
  }
}
</script>

<template>
  <div v-if="store.frames.length === 0" class="empty">
    <h2>No frames to move anything over</h2>
    <p class="quiet">Begin with stills, or with empty frames from the Sheet bench. Cut-outs then live over them.</p>
    <add-stills :to="store.reel!.id" />
  </div>
  <div v-else class="move" v-on="fileDrop.listeners">
    <section class="when" aria-label="Exposure sheet and what is on it">
      <div class="bar">
        <h2 class="heading">Exposure sheet</h2>
        <v-btn size="small" variant="outlined" @click="asking.open('tween')">Tween…</v-btn>
        <drop-menu>
          <template #activator="{ props: activator }">
            <v-btn v-bind="activator" size="small" variant="outlined" :append-icon="mdiChevronDown"
              >Add a cut-out</v-btn
            >
          </template>
          <action-list :groups="ways" label="Add a cut-out" />
        </drop-menu>
      </div>
      <exposure-sheet v-if="moving.cutouts.length > 0" @properties="asking.open('cutout')" />
      <div v-else class="none">
        <h3>No cut-outs yet</h3>
        <p class="quiet">
          A cut-out is a picture, some words or a shape that lives over many frames. Set a pose where it matters; the
          frames between follow.
        </p>
        <p class="quiet">Add one above, or drop a picture here.</p>
      </div>
      <cell-bar />
    </section>
    <section class="where" aria-label="Stage">
      <div class="bar">
        <v-btn
          :icon="playhead.playing ? mdiPause : mdiPlay"
          size="small"
          color="primary"
          variant="flat"
          :aria-label="playhead.playing ? 'Pause' : 'Play'"
          :title="playhead.playing ? 'Pause (Space)' : 'Play (Space)'"
          @click="playhead.playing = !playhead.playing"
        />
        <div class="titles">
          <h2 class="heading name" :title="title">{{ title }}</h2>
          <span class="quiet state" role="status" :title="where">{{ where }}</span>
        </div>
        <v-btn size="small" :disabled="moving.ids.length === 0" @click="asking.open('motion')">Motion…</v-btn>
        <drop-menu>
          <template #activator="{ props: activator }">
            <v-btn v-bind="activator" size="small" :append-icon="mdiChevronDown" :disabled="moving.ids.length === 0"
              >Align</v-btn
            >
          </template>
          <action-list :groups="alignments" label="Align" />
        </drop-menu>
        <v-btn
          size="small"
          :active="moving.trackShown"
          :aria-pressed="moving.trackShown"
          @click="moving.trackShown = !moving.trackShown"
          >Track {{ moving.trackShown ? 'on' : 'off' }}</v-btn
        >
        <v-btn size="small" @click="asking.open('surroundings')">Backdrop…</v-btn>
        <drop-menu>
          <template #activator="{ props: activator }">
            <v-btn
              v-bind="activator"
              :icon="mdiDotsHorizontal"
              size="small"
              aria-label="More for this cut-out"
              :disabled="moving.ids.length === 0"
            />
          </template>
          <action-list :groups="actions" label="Cut-out" />
        </drop-menu>
      </div>
      <move-stage ref="stage" @path="follow" @box="cut" @words="changeArt" />
      <div ref="bars" class="bars">
        <pose-fields v-if="moving.single" />
        <p v-else class="quiet hint">
          {{ moving.ids.length > 1 ? 'Drag them together, or choose one for its numbers.' : 'Nothing is chosen.' }}
        </p>
        <pose-bar />
      </div>
    </section>
    <div v-if="fileDrop.over.value" class="drop-here"><span>Drop to make cut-outs of them</span></div>
    <file-chooser ref="chooser" @take="take" />
    <words-dialog />
    <shape-dialog />
    <tween-dialog />
    <motion-dialog @path="drawPath" />
    <surroundings-dialog />
    <cutout-dialog />
    <hide-dialog />
  </div>
</template>

<style scoped src="./move.css"></style>
