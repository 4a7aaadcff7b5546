<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Cutout, Edit } from '@/api/types'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import NumberField from '@/parts/NumberField.vue'
import { useAsking, useDialogShown } from '@/reel/asking'
import { useReel } from '@/reel/store'
import { useMoving } from './moving'
import { BLENDS } from './words'

/** What a cut-out is called, when it is there, how it lies on what is below. */
const store = useReel()
const asking = useAsking()
const moving = useMoving()
const shown = useDialogShown('cutout')
const draft = ref<Cutout | null>(null)
const first = ref(1)
const last = ref(1)
const before = computed(() => moving.cutouts.find((each) => each.id === draft.value?.id))
const cycle = computed(() => (draft.value?.art.kind === 'cycle' && draft.value.art.pictures.length > 1 ? draft.value.art : null))
const percent = computed(() => Math.round((draft.value?.shadow.opacity ?? 0) * 100))

watch(shown, (open) => {
  const cutout = moving.cutouts.find((each) => each.id === moving.ids[0])
  if (open && cutout) {
    draft.value = structuredClone(JSON.parse(JSON.stringify(cutout)) as Cutout)
    first.value = cutout.firstFrame === 0 ? 1 : store.ids.indexOf(cutout.firstFrame) + 1
    last.value = cutout.lastFrame === 0 ? store.ids.length : store.ids.indexOf(cutout.lastFrame) + 1
  }
})

const differs = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b)

function changes(was: Cutout, now: Cutout): Edit[] {
  const cutouts = [now.id]
  const firstFrame = first.value === 1 ? 0 : (store.ids[first.value - 1] ?? 0)
  const lastFrame = last.value === store.ids.length ? 0 : (store.ids[last.value - 1] ?? 0)
  const edits: (Edit | false)[] = [
    was.name !== now.name.trim() && { type: 'renameCutout', cutout: now.id, name: now.name },
    (was.firstFrame !== firstFrame || was.lastFrame !== lastFrame) && { type: 'spanCutouts', cutouts, firstFrame, lastFrame },
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

async function done(): Promise<void> {
  asking.close()
  if (draft.value && before.value) {
    for (const edit of changes(before.value, draft.value)) {
      await store.dispatch(edit)
    }
  }
}
</script>

<template>
  <dialog-card v-model="shown" :title="before?.name ?? 'Cut-out'" verb="Apply" :width="560"
    :disabled="!draft?.name.trim() || last < first" @done="done">
    <div v-if="draft" class="settings">
      <v-text-field v-model="draft.name" label="Name" maxlength="120" variant="outlined" density="compact" hide-details />
      <div class="row">
        <number-field :value="first" label="There from frame" labelled :min="1" :max="store.ids.length"
          @done="(value) => (first = value)" />
        <number-field :value="last" label="to frame" labelled :min="1" :max="store.ids.length" @done="(value) => (last = value)" />
      </div>
      <p v-if="last < first" class="problem" role="alert">It must not end before it begins.</p>
      <div class="row">
        <v-btn-toggle v-model="draft.under" mandatory density="compact" variant="outlined" divided aria-label="Lies">
          <v-btn :value="false" size="small">over the stills</v-btn>
          <v-btn :value="true" size="small">under the stills</v-btn>
        </v-btn-toggle>
        <v-select v-model="draft.blend" :items="BLENDS" label="Blend mode" variant="outlined" density="compact" hide-details />
      </div>
      <fieldset>
        <legend>Shadow</legend>
        <div class="row">
          <number-field :value="percent" label="Opacity" labelled suffix="%" :min="0" :max="100"
            @done="(value) => (draft!.shadow.opacity = value / 100)" />
          <template v-if="draft.shadow.opacity > 0">
            <number-field :value="draft.shadow.x" label="Right" labelled suffix="px" :min="-1000" :max="1000" :decimals="1"
              @done="(value) => (draft!.shadow.x = value)" />
            <number-field :value="draft.shadow.y" label="Down" labelled suffix="px" :min="-1000" :max="1000" :decimals="1"
              @done="(value) => (draft!.shadow.y = value)" />
            <number-field :value="draft.shadow.blur" label="Blur" labelled suffix="px" :min="0" :max="200" :decimals="1"
              @done="(value) => (draft!.shadow.blur = value)" />
            <color-field v-model="draft.shadow.color" label="Color" />
          </template>
        </div>
      </fieldset>
      <fieldset v-if="cycle">
        <legend>Cycle of {{ cycle.pictures.length }} pictures</legend>
        <div class="row">
          <number-field :value="cycle.every" label="Another every" labelled suffix="frames" :min="1" :max="100"
            @done="(value) => (cycle!.every = value)" />
          <number-field :value="cycle.offset" label="Ahead by" labelled suffix="frames" :min="0" :max="10000"
            @done="(value) => (cycle!.offset = value)" />
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

.problem {
  margin: 0;
  color: var(--rein);
}
</style>
