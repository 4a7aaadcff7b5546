<script setup lang="ts">
import { computed, ref } from 'vue'
import { limits } from '@/api/limits'
import type { Easing } from '@/api/types'
import DialogCard from '@/parts/DialogCard.vue'
import { delayText, framesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { useAsking } from './asking'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { EASINGS } from './words'

/** New frames between the one at the playhead and the next; after the last one, on the way back to the first. */
const store = useReel()
const playhead = usePlayhead()
const asking = useAsking()
const shown = asking.isShown('tween')
const count = ref(5)
const shared = ref(false)
const delayMillis = ref(100)
const leaves = ref<Easing>('EVEN')
const crossFade = ref(true)

const number = computed(() => playhead.index + 1)
const closes = computed(() => playhead.index === store.frames.length - 1)
const problem = computed(() => (store.frames.length > 1 ? '' : 'There is no other frame to tween to. Add one first.'))
const leadsTo = computed(() => {
  const own = playhead.frame?.delayMillis ?? 0
  return shared.value
    ? `The ${delayText(own)} of frame ${number.value} are shared out among ${framesText(count.value + 1)}.`
    : `${framesText(count.value)} of ${delayText(delayMillis.value)} come ${closes.value ? `after frame ${number.value}, on the way back to frame 1` : `between frames ${number.value} and ${number.value + 1}`}.`
})

function done(): Promise<boolean> {
  playhead.playing = false
  return store.dispatch({
    type: 'tween',
    frame: playhead.frame?.id ?? 0,
    count: count.value,
    delayMillis: shared.value ? 0 : delayMillis.value,
    leaves: leaves.value,
    crossFade: crossFade.value,
  })
}
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="closes ? `Tween from the last frame to the first` : `Tween from frame ${number}`"
    verb="Tween"
    :width="460"
    :disabled="problem !== ''"
    :done="done"
  >
    <div class="settings">
      <div class="row">
        <number-field
          :value="count"
          label="New frames"
          labelled
          v-bind="limits.Tween.count"
          @done="(value) => (count = value)"
        />
        <number-field
          v-if="!shared"
          :value="delayMillis"
          label="Each for"
          labelled
          suffix="ms"
          v-bind="limits.SetDelay.delayMillis"
          :step="10"
          @done="(value) => (delayMillis = value)"
        />
      </div>
      <v-checkbox v-model="shared" label="Share out the time there is" density="compact" hide-details />
      <v-checkbox v-model="crossFade" label="Fade from one still to the other" density="compact" hide-details />
      <v-select
        v-model="leaves"
        :items="EASINGS"
        label="Easing of cut-outs"
        variant="outlined"
        density="compact"
        hide-details
      />
      <p class="quiet" role="status">{{ problem || leadsTo }}</p>
    </div>
  </dialog-card>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 12px;
}

.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>
