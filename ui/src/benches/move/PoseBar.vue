<script setup lang="ts">
import { mdiGrid, mdiMagnet, mdiMagnetOn } from '@mdi/js'
import { computed } from 'vue'
import type { Easing } from '@/api/types'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'
import { usePlayhead } from '@/reel/playhead'
import { useMoving } from './moving'
import { EASINGS, SCOPES } from './words'

/** Where a change of pose counts, and how the cut-out moves on from its pose. */
const store = useReel()
const playhead = usePlayhead()
const moving = useMoving()

/** The pose that the chosen cut-out last left. */
const left = computed(() => {
  const keys = moving.single?.cutout.keys ?? []
  const rows = keys
    .map((key) => ({ key, row: store.ids.indexOf(key.frame) }))
    .filter(({ row }) => row <= playhead.index)
  return rows.reduce<(typeof rows)[number] | null>((best, each) => (best && best.row > each.row ? best : each), null)
})

function setLeaves(leaves: Easing): void {
  if (left.value && moving.single) {
    void store.dispatch({
      type: 'setLeaves',
      cells: [{ cutout: moving.single.cutout.id, frame: left.value.key.frame }],
      leaves,
    })
  }
}
</script>

<template>
  <div class="bar">
    <span class="quiet">changes</span>
    <v-btn-toggle
      v-model="moving.scope"
      mandatory
      density="compact"
      variant="outlined"
      divided
      aria-label="Where a change counts"
    >
      <v-btn v-for="({ title, means }, value) in SCOPES" :key="value" :value="value" size="small" :title="means">{{
        title
      }}</v-btn>
    </v-btn-toggle>
    <v-btn
      :icon="moving.snapping ? mdiMagnetOn : mdiMagnet"
      size="small"
      :aria-pressed="moving.snapping"
      :aria-label="moving.snapping ? 'Guides snap' : 'Guides do not snap'"
      :title="moving.snapping ? 'Guides snap; Alt lets go' : 'Guides do not snap'"
      @click="moving.snapping = !moving.snapping"
    />
    <v-btn
      :icon="mdiGrid"
      size="small"
      :active="moving.wholePixels"
      :aria-pressed="moving.wholePixels"
      aria-label="Whole pixels"
      :title="moving.wholePixels ? 'Boxes lie on whole pixels' : 'Boxes lie anywhere, between pixels too'"
      @click="moving.wholePixels = !moving.wholePixels"
    />
    <span class="pair"
      ><span class="quiet">step</span>
      <number-field
        :value="moving.step"
        label="Step of the arrow keys"
        suffix="px"
        :min="0.1"
        :max="100"
        :decimals="1"
        class="step"
        @done="(value) => (moving.step = value)"
    /></span>
    <span class="pair last"
      ><span class="quiet">easing</span>
      <v-select
        :model-value="left?.key.leaves ?? null"
        :items="EASINGS"
        aria-label="Easing after this pose"
        title="How it moves from this pose to the next"
        variant="outlined"
        density="compact"
        hide-details
        class="leaves"
        :disabled="!left"
        @update:model-value="(value) => value && setLeaves(value)"
    /></span>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  font-size: 14px;
}

.pair {
  display: flex;
  align-items: center;
  gap: 8px;
}

.last {
  margin-left: auto;
}

.step {
  max-width: 82px;
}

.leaves {
  width: 158px;
}
</style>
