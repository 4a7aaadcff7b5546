<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { limits } from '@/api/limits'
import type { Aligned, Box, JobView, Perspective } from '@/api/types'
import { say, sayProblem } from '@/ground/messages'
import { AS_IT_WAS, isMoved } from '@/parts/aligned'
import DialogCard from '@/parts/DialogCard.vue'
import { framesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { useJob } from '@/reel/job'
import { useReel } from '@/reel/store'
import { useArranging } from './arranging'
import { useAsking } from './asking'
import LineUpArea from './LineUpArea.vue'

/** Lays stills that were taken by hand on one of them, moves one by hand, or lays them back. */
const store = useReel()
const arranging = useArranging()
const asking = useAsking()
const shown = asking.isShown('lineUp')
const to = ref(1)
const edges = ref<'CROP' | 'FILL' | 'LEAVE'>('CROP')
/** Whether all lie on one still; else only shaking is taken out, and what pans is kept. */
const onOne = ref(true)
const settledEdges = computed(() => (onOne.value || edges.value !== 'FILL' ? edges.value : 'LEAVE'))
const ready = computed(() => (onOne.value ? other.value !== undefined : stills.value.length > 2))
/** Whether they are lined up by a part of the view alone, and which one. */
const byPart = ref(false)
const perspective = ref(false)
const partShown = computed(() => onOne.value && byPart.value && otherFrame.value !== undefined)
const part = ref<Box>({ x: 0, y: 0, width: 0, height: 0 })
let settle: (ended: JobView) => void = lineUpEnded
/** The job that lines up now: one that is still under way is found again when the dialog opens. */
const { job: working, isRunning, follow, stop } = useJob('line-up', (ended) => settle(ended))

const stills = computed(() =>
  store.frames.flatMap((frame, i) =>
    arranging.affected.includes(frame.id) && frame.content.kind === 'still'
      ? [{ id: frame.id, number: i + 1, aligned: frame.content.aligned }]
      : [],
  ),
)
const moved = computed(() => stills.value.filter(({ aligned }) => isMoved(aligned)))
const single = computed(() => (stills.value.length === 1 ? stills.value[0] : undefined))
const all = computed(() => store.frames.filter((frame) => frame.content.kind === 'still'))
/** One still alone is moved by hand; else all that are chosen lie on one of them. */
const verb = computed(() => (single.value ? undefined : 'Line up'))
const other = computed(() => stills.value.find(({ number }) => number === to.value))
const otherFrame = computed(() => store.frames.find(({ id }) => id === other.value?.id))

watch(shown, (open) => {
  if (open) {
    to.value = stills.value[Math.floor((stills.value.length - 1) / 2)]?.number ?? 1
    byPart.value = false
    perspective.value = false
    const { width, height } = store.reel!.canvas
    part.value = {
      x: Math.round(width / 4),
      y: Math.round(height / 4),
      width: Math.round(width / 2),
      height: Math.round(height / 2),
    }
  } else if (isRunning.value) {
    void stop()
  }
})

/** The dialog stays while it is done, and says how far it is. */
async function done(): Promise<boolean> {
  try {
    await store.settled()
    const path = { id: store.reel!.id }
    const area = partShown.value ? part.value : { x: 0, y: 0, width: 0, height: 0 }
    const motion = onOne.value && perspective.value ? ('PERSPECTIVE' as const) : ('SIMILARITY' as const)
    const body = {
      area,
      motion,
      frames: stills.value.map(({ id }) => id),
      to: onOne.value ? other.value!.id : 0,
      edges: settledEdges.value,
    }
    const started = await answer(api.POST('/api/reels/{id}/line-ups', { params: { path }, body }))
    follow(started)
  } catch (failure) {
    sayProblem(failure)
    return false
  }
  const ended = await ending()
  return ended.state === 'DONE'
}

/** @return how the job ended */
const ending = (): Promise<JobView> =>
  new Promise((resolve) => {
    settle = (ended) => {
      lineUpEnded(ended)
      settle = lineUpEnded
      resolve(ended)
    }
  })

function lineUpEnded(ended: JobView): void {
  if (ended.state === 'DONE') {
    shown.value = false
    say(ended.result ?? '', { label: 'Undo', run: () => void store.undo() })
  } else if (ended.state === 'FAILED') {
    sayProblem(new Error(ended.problem ?? 'The stills could not be lined up.'))
  }
}

async function layBack(): Promise<void> {
  if (
    await store.dispatch({
      type: 'alignStills',
      stills: moved.value.map(({ id }) => ({ frame: id, aligned: AS_IT_WAS })),
    })
  ) {
    shown.value = false
  }
}

function byHand(change: Partial<Aligned>): void {
  const { id, aligned } = single.value!
  void store.dispatch({ type: 'alignStills', stills: [{ frame: id, aligned: { ...aligned, ...change, sure: 1 } }] })
}

const PERSPECTIVE: { name: keyof Perspective; label: string; min: number; max: number }[] = [
  { name: 'across', label: 'Right edge smaller', min: -45, max: 45 },
  { name: 'down', label: 'Lower edge smaller', min: -45, max: 45 },
  { name: 'stretch', label: 'Width for its height', min: 50, max: 200 },
  { name: 'lean', label: 'Lean to the left', min: -100, max: 100 },
]

function seenFrom(change: Partial<Perspective>): void {
  byHand({ perspective: { ...single.value!.aligned.perspective, ...change } })
}

const rounded = (value: number, places: number): number => Math.round(value * 10 ** places) / 10 ** places
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="single ? `Move the still of frame ${single.number}` : `Line up ${framesText(stills.length)}`"
    :verb="verb"
    :width="partShown ? 900 : 480"
    :disabled="!ready || isRunning"
    :done="done"
  >
    <template v-if="single">
      <p class="quiet">
        In pixels of the still, about its middle. Choose several frames, or none, to line them up by themselves.
      </p>
      <div class="fields">
        <number-field
          :value="rounded(single.aligned.dx, 1)"
          label="To the right"
          labelled
          suffix="px"
          v-bind="limits.Aligned.dx"
          :decimals="1"
          @done="(dx) => byHand({ dx })"
        />
        <number-field
          :value="rounded(single.aligned.dy, 1)"
          label="Down"
          labelled
          suffix="px"
          v-bind="limits.Aligned.dy"
          :decimals="1"
          @done="(dy) => byHand({ dy })"
        />
        <number-field
          :value="rounded(single.aligned.turn, 2)"
          label="Turn clockwise"
          labelled
          suffix="°"
          v-bind="limits.Aligned.turn"
          :step="0.1"
          :decimals="2"
          @done="(turn) => byHand({ turn })"
        />
        <number-field
          :value="rounded(100 * single.aligned.scale, 2)"
          label="Scale"
          labelled
          suffix="%"
          :min="10"
          :max="100 * limits.Aligned.scale.max"
          :step="0.1"
          :decimals="2"
          @done="(percent) => byHand({ scale: percent / 100 })"
        />
      </div>
      <fieldset class="edges">
        <legend>Perspective</legend>
        <p class="quiet">For a page or a wall that was seen from the side.</p>
        <div class="fields">
          <number-field
            v-for="field in PERSPECTIVE"
            :key="field.name"
            :value="rounded(100 * single.aligned.perspective[field.name], 1)"
            :label="field.label"
            labelled
            suffix="%"
            :min="field.min"
            :max="field.max"
            :step="0.5"
            :decimals="1"
            @done="(percent) => seenFrom({ [field.name]: percent / 100 })"
          />
        </div>
      </fieldset>
    </template>
    <template v-else>
      <p class="quiet">
        Photos taken by hand are shifted, turned and scaled until they lie on one of them. The pictures themselves stay
        as they are.
      </p>
      <div class="sides" :class="{ two: partShown }">
        <div>
          <v-radio-group
            v-model="onOne"
            hide-details
            color="primary"
            density="compact"
            aria-label="How they are lined up"
          >
            <v-radio :value="true" label="All on one of them: the view stands still" />
            <v-radio :value="false" label="Steady: only the shaking goes, a pan stays" />
          </v-radio-group>
          <div v-if="onOne" class="row">
            <number-field
              :value="to"
              label="Lie on frame"
              labelled
              :min="stills[0]?.number ?? 1"
              :max="stills.at(-1)?.number ?? 1"
              @done="(number) => (to = number)"
            />
            <span v-if="!other" class="quiet">Frame {{ to }} is not one of them.</span>
          </div>
          <v-checkbox
            v-if="onOne"
            v-model="byPart"
            density="compact"
            hide-details
            color="primary"
            label="Only by a part of the view"
          />
          <v-checkbox
            v-if="onOne"
            v-model="perspective"
            density="compact"
            hide-details
            color="primary"
            label="Perspective too, for a page or a wall seen from the side"
          />
          <fieldset class="edges">
            <legend>Edges that are bare then</legend>
            <v-radio-group
              v-model="edges"
              hide-details
              color="primary"
              density="compact"
              aria-label="Edges that are bare then"
            >
              <v-radio value="CROP" label="Crop the canvas to what all of them cover" />
              <v-radio v-if="onOne" value="FILL" :label="`Fill them from frame ${to}, which lies behind all`" />
              <v-radio value="LEAVE" label="Leave them" />
            </v-radio-group>
          </fieldset>
        </div>
        <div v-if="partShown && otherFrame">
          <line-up-area v-model="part" :reel="store.reel!.id" :frame="otherFrame" :canvas="store.reel!.canvas" />
        </div>
      </div>
      <p v-if="stills.length < all.length" class="quiet">
        Only the {{ framesText(stills.length) }} that are selected are moved.
      </p>
    </template>
    <p v-if="moved.length > 0" class="back">
      <v-btn variant="outlined" size="small" @click="layBack"
        >Lay {{ moved.length === 1 ? 'it' : `these ${moved.length}` }} back</v-btn
      >
    </p>
    <div v-if="working?.state === 'RUNNING'" class="working" role="status">
      <span>Lining up {{ Math.min(working.done + 1, working.total) }} of {{ working.total }}</span>
      <v-progress-linear
        :model-value="(100 * working.done) / working.total"
        height="8"
        rounded
        color="success"
        aria-label="Lined up"
      />
    </div>
  </dialog-card>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin-top: 14px;
}

.sides {
  margin-top: 12px;
}

.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px;
}

@media (max-width: 760px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}

.edges {
  margin-top: 10px;
  padding: 0;
  border: 0;
}

.edges p {
  margin: 0;
}

legend {
  margin-bottom: 4px;
  font-weight: 650;
}

.row {
  display: flex;
  align-items: center;
  gap: 12px;
  max-width: 320px;
  margin: 14px 0 6px;
}

.back {
  margin-top: 14px;
}

.working {
  display: grid;
  gap: 6px;
  margin-top: 14px;
}
</style>
