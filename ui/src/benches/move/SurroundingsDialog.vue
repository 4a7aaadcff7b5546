<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import type { Backdrop, Border, Edit, Fill, Still } from '@/api/types'
import FileChooser from '@/gather/FileChooser.vue'
import { gatherFor } from '@/gather/gather'
import type { Gatherable } from '@/gather/gatherable'
import ColorField from '@/parts/ColorField.vue'
import { AS_IT_IS, AS_IT_WAS } from '@/parts/aligned'
import DialogCard from '@/parts/DialogCard.vue'
import { centered, WAYS } from '@/parts/fits'
import NumberField from '@/parts/NumberField.vue'
import { useAsking } from './asking'
import { useReel } from '@/reel/store'
import FillFields from './FillFields.vue'

/** What lies behind all frames, and what lies around them. */
const NONE: Fill = { kind: 'fill', color: '', toColor: '', angle: 90 }

const store = useReel()
const asking = useAsking()
const shown = asking.isShown('surroundings')
const chooser = ref<InstanceType<typeof FileChooser> | null>(null)
const fill = ref<Fill>({ ...NONE })
const picture = ref<Still | null>(null)
const border = ref<Border>({ width: 0, color: '1e2a32', radius: 0 })
const backdrop = computed<Backdrop>(() => picture.value ?? fill.value)

watch(shown, (open) => {
  const reel = store.reel
  if (open && reel) {
    picture.value = reel.backdrop.kind === 'still' ? { ...reel.backdrop, fit: { ...reel.backdrop.fit } } : null
    fill.value = reel.backdrop.kind === 'fill' ? { ...reel.backdrop } : { ...NONE }
    border.value = { ...reel.border }
  }
})

function take(files: Gatherable[]): void {
  void gatherFor(files, async ([still]) => {
    if (still) {
      const fit = centered('FILL')
      picture.value = {
        kind: 'still',
        picture: still.picture,
        name: still.name,
        size: still.size,
        fit,
        taken: still.taken,
        aligned: AS_IT_WAS,
        light: AS_IT_IS,
      }
    }
    return 'The picture is ready; press Apply.'
  })
}

const differs = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b)

function done(): Promise<boolean> {
  const before = store.reel!
  const edits: (Edit | false)[] = [
    differs(before.backdrop, backdrop.value) && { type: 'setBackdrop', backdrop: backdrop.value },
    differs(before.border, border.value) && { type: 'setBorder', border: border.value },
  ]
  return store.together(
    edits.filter((edit): edit is Edit => edit !== false),
    'Change backdrop and border',
  )
}
</script>

<template>
  <dialog-card v-model="shown" title="Backdrop and border" verb="Apply" :width="520" :done="done">
    <div class="settings">
      <fieldset>
        <legend>Behind all frames</legend>
        <p v-if="picture" class="row">
          <span>“{{ picture.name }}”</span>
          <v-select
            v-model="picture.fit.way"
            :items="Object.entries(WAYS).map(([value, { label }]) => ({ value, title: label }))"
            label="Lies on the canvas"
            variant="outlined"
            density="compact"
            hide-details
            class="way"
          />
          <v-btn size="small" variant="outlined" @click="picture = null">Take it away</v-btn>
        </p>
        <template v-else>
          <fill-fields v-model="fill" label="Color" />
          <v-btn size="small" variant="outlined" @click="chooser?.chooseOne()">A picture…</v-btn>
        </template>
        <p class="quiet">It shows where stills are transparent or leave the canvas bare.</p>
      </fieldset>
      <fieldset>
        <legend>Over all frames</legend>
        <div class="row">
          <number-field
            :value="border.width"
            label="Border"
            labelled
            suffix="px"
            v-bind="limits.Border.width"
            @done="(width) => (border.width = width)"
          />
          <number-field
            :value="border.radius"
            label="Corners"
            labelled
            suffix="px"
            v-bind="limits.Border.radius"
            @done="(radius) => (border.radius = radius)"
          />
          <color-field v-model="border.color" label="Border color" />
        </div>
      </fieldset>
    </div>
    <file-chooser ref="chooser" @take="take" />
  </dialog-card>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 18px;
}

fieldset {
  display: grid;
  justify-items: start;
  gap: 10px;
  border: 0;
  padding: 0;
}

legend {
  margin-bottom: 8px;
  font-weight: 650;
}

.row {
  display: flex;
  align-items: flex-end;
  gap: 12px;
}

.way {
  min-width: 200px;
}

p {
  margin: 0;
}
</style>
