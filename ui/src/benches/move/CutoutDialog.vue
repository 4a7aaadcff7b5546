<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import type { Cutout, Cycle, Edit } from '@/api/types'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import NumberField from '@/parts/NumberField.vue'
import { percent } from '@/parts/numbers'
import { useAsking } from './asking'
import { useReel } from '@/reel/store'
import { useMoving } from './moving'
import { BLENDS } from './words'

/** What a cut-out is called, when it is there, how it lies on what is below. */
const store = useReel()
const asking = useAsking()
const moving = useMoving()
const shown = asking.isShown('cutout')
const draft = ref<Cutout | null>(null)
const first = ref(1)
const last = ref(1)
/** As it was when the dialog opened. Where it has gaps between, they stay unless this is changed. */
const span = ref([1, 1])
const before = computed(() => moving.cutouts.find((each) => each.id === draft.value?.id))
const cycle = computed(() =>
  draft.value?.art.kind === 'cycle' && draft.value.art.pictures.length > 1 ? draft.value.art : null,
)
const shadowPercent = computed(() => Math.round((draft.value?.shadow.opacity ?? 0) * 100))

/** A shadow that lies right behind its cut-out would not be seen: a first one falls to the lower right. */
function setShadow(opacityPercent: number): void {
  const shadow = draft.value!.shadow
  shadow.opacity = opacityPercent / 100
  if (opacityPercent > 0 && shadow.x === 0 && shadow.y === 0 && shadow.blur === 0) {
    Object.assign(shadow, FIRST_SHADOW)
  }
}

watch(shown, (open) => {
  const cutout = moving.cutouts.find((each) => each.id === moving.ids[0])
  if (open && cutout) {
    draft.value = structuredClone(JSON.parse(JSON.stringify(cutout)) as Cutout)
    const rows = store.ids.map((_, row) => row).filter((row) => !cutout.away.includes(store.ids[row] as number))
    first.value = (rows[0] ?? 0) + 1
    last.value = (rows.at(-1) ?? store.ids.length - 1) + 1
    span.value = [first.value, last.value]
  }
})

const FIRST_SHADOW = { x: 3, y: 4, blur: 4 }
const TURNS = [
  {
    turns: 'KEPT',
    label: 'kept by frames',
    title: 'Each frame keeps its picture; choose others on the exposure sheet',
  },
  { turns: 'BY_PLACE', label: 'by place', title: 'By the place of the frame on the sheet' },
  { turns: 'BY_TIME', label: 'by time', title: 'By the time the frame begins' },
] as const
const unit = computed(() => (cycle.value?.turns === 'BY_TIME' ? 'ms' : 'frames'))
const turnsText = computed(() => {
  switch (cycle.value?.turns) {
    case 'BY_PLACE':
      return 'The picture follows from the place of the frame on the sheet. It changes when frames come, go or move.'
    case 'BY_TIME':
      return 'The picture follows from the time at which the frame begins, however long frames show.'
    default:
      return 'Each frame keeps its picture when frames come, go or move. A change of the numbers below assigns the pictures anew.'
  }
})

/** The same pace in the other unit, about. */
function setTurns(turns: Cycle['turns']): void {
  const now = cycle.value
  if (now && now.turns !== turns) {
    const time = turns === 'BY_TIME'
    const wasTime = now.turns === 'BY_TIME'
    now.every = time === wasTime ? now.every : time ? 100 * now.every : Math.max(1, Math.round(now.every / 100))
    now.offset = time === wasTime ? now.offset : time ? 100 * now.offset : Math.round(now.offset / 100)
    now.turns = turns
  }
}

const differs = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b)

function changes(was: Cutout, now: Cutout): Edit[] {
  const cutouts = [now.id]
  const firstFrame = first.value === 1 ? 0 : (store.ids[first.value - 1] ?? 0)
  const lastFrame = last.value === store.ids.length ? 0 : (store.ids[last.value - 1] ?? 0)
  const edits: (Edit | false)[] = [
    was.name !== now.name.trim() && { type: 'renameCutout', cutout: now.id, name: now.name },
    differs(span.value, [first.value, last.value]) && { type: 'spanCutouts', cutouts, firstFrame, lastFrame },
    differs([was.under, was.blend, was.shadow], [now.under, now.blend, now.shadow]) && {
      type: 'layCutouts',
      cutouts,
      under: now.under,
      blend: now.blend,
      shadow: now.shadow,
    },
    differs(was.art, now.art) && { type: 'setArt', cutout: now.id, art: now.art },
  ]
  return edits.filter((edit): edit is Edit => edit !== false)
}

async function done(): Promise<boolean> {
  const [was, now] = [before.value, draft.value]
  return was !== undefined && now !== null && (await store.together(changes(was, now), `Change ${now.name.trim()}`))
}
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="before?.name ?? 'Cut-out'"
    verb="Apply"
    :width="560"
    :disabled="!draft?.name.trim() || last < first"
    :done="done"
  >
    <div v-if="draft" class="settings">
      <v-text-field
        v-model="draft.name"
        label="Name"
        :maxlength="limits.RenameCutout.name.max"
        variant="outlined"
        density="compact"
        hide-details
      />
      <div class="row">
        <number-field
          :value="first"
          label="There from frame"
          labelled
          :min="1"
          :max="store.ids.length"
          @done="(value) => (first = value)"
        />
        <number-field
          :value="last"
          label="to frame"
          labelled
          :min="1"
          :max="store.ids.length"
          @done="(value) => (last = value)"
        />
      </div>
      <p v-if="last < first" class="problem" role="alert">The last frame must not come before the first.</p>
      <div class="row">
        <v-btn-toggle v-model="draft.under" mandatory density="compact" variant="outlined" divided aria-label="Layer">
          <v-btn :value="false" size="small">over the stills</v-btn>
          <v-btn :value="true" size="small">under the stills</v-btn>
        </v-btn-toggle>
        <v-select
          v-model="draft.blend"
          :items="BLENDS"
          label="Blend mode"
          variant="outlined"
          density="compact"
          hide-details
        />
      </div>
      <fieldset>
        <legend>Shadow</legend>
        <div class="row">
          <number-field
            :value="shadowPercent"
            label="Opacity"
            labelled
            suffix="%"
            v-bind="percent(limits.Shadow.opacity)"
            @done="setShadow"
          />
          <template v-if="draft.shadow.opacity > 0">
            <number-field
              :value="draft.shadow.x"
              label="Right"
              labelled
              suffix="px"
              v-bind="limits.Shadow.x"
              :decimals="1"
              @done="(value) => (draft!.shadow.x = value)"
            />
            <number-field
              :value="draft.shadow.y"
              label="Down"
              labelled
              suffix="px"
              v-bind="limits.Shadow.y"
              :decimals="1"
              @done="(value) => (draft!.shadow.y = value)"
            />
            <number-field
              :value="draft.shadow.blur"
              label="Blur"
              labelled
              suffix="px"
              v-bind="limits.Shadow.blur"
              :decimals="1"
              @done="(value) => (draft!.shadow.blur = value)"
            />
            <color-field v-model="draft.shadow.color" label="Color" />
          </template>
        </div>
      </fieldset>
      <fieldset v-if="cycle">
        <legend>Cycle of {{ cycle.pictures.length }} pictures</legend>
        <v-btn-toggle
          :model-value="cycle.turns"
          mandatory
          density="compact"
          variant="outlined"
          divided
          aria-label="What decides which picture a frame shows"
          class="turns"
          @update:model-value="setTurns"
        >
          <v-btn v-for="{ turns, label, title } in TURNS" :key="turns" :value="turns" size="small" :title="title">{{
            label
          }}</v-btn>
        </v-btn-toggle>
        <p class="quiet hint">{{ turnsText }}</p>
        <div class="row">
          <number-field
            :value="cycle.every"
            label="Next picture every"
            labelled
            :suffix="unit"
            :min="cycle.turns === 'BY_TIME' ? limits.SetDelay.delayMillis.min : 1"
            :max="cycle.turns === 'BY_TIME' ? limits.Cycle.every.max : 100"
            @done="(value) => (cycle!.every = value)"
          />
          <number-field
            :value="cycle.offset"
            label="Offset"
            labelled
            :suffix="unit"
            v-bind="limits.Cycle.offset"
            @done="(value) => (cycle!.offset = value)"
          />
        </div>
      </fieldset>
    </div>
  </dialog-card>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 16px;
}

fieldset {
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 10px;
  font-weight: 650;
}

.row {
  display: flex;
  align-items: flex-start;
  flex-wrap: wrap;
  gap: 12px;
}

.row > .number {
  flex: 1 1 100px;
}

.turns {
  margin-bottom: 6px;
}

.hint {
  margin: 0 0 10px;
  font-size: 13px;
}

.problem {
  margin: 0;
  color: var(--rein);
}
</style>
