<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import type { Edit, FrameView, Still } from '@/api/types'
import { sayProblem } from '@/ground/messages'
import DialogCard from '@/parts/DialogCard.vue'
import { framesText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { useAsking } from './asking'
import { usePlate } from './plate'
import PlateSettings from './PlateSettings.vue'
import PlateStrip from './PlateStrip.vue'
import PlateView from './PlateView.vue'

/** Cuts a still that holds many drawings into frames. */
const store = useReel()
const selection = useSelection()
const asking = useAsking()
const shown = asking.isShown('plate')
const frame = shallowRef<FrameView | null>(null)
const plate = shallowRef<ReturnType<typeof usePlate> | null>(null)
const still = computed(() => frame.value?.content as Still)

watch(shown, (open) => {
  const chosen = selection.frames[0]
  if (open && chosen?.content.kind === 'still') {
    frame.value = chosen
    plate.value = usePlate(chosen.content)
  } else if (!open) {
    plate.value = null
  }
})

async function done(): Promise<boolean> {
  const from = frame.value!
  try {
    const { stills } = await plate.value!.cut()
    const alone = store.frames.length === 1
    const edits: Edit[] = [
      ...(alone && stills[0] ? [{ type: 'setCanvas' as const, ...stills[0].size }] : []),
      {
        type: 'addStills',
        after: from.id,
        gathering: '',
        stills: stills.map((each) => ({ ...each, delayMillis: from.delayMillis })),
      },
      { type: 'removeFrames', frames: [from.id] },
    ]
    const before = new Set(store.ids)
    const cut = await store.together(edits, `Cut “${still.value.name}” into ${framesText(stills.length)}`)
    if (cut && !alone) selection.bring(store.ids.filter((id) => !before.has(id)))
    return cut
  } catch (failure) {
    sayProblem(failure)
    return false
  }
}
</script>

<template>
  <dialog-card
    v-if="frame"
    v-model="shown"
    :title="`Cut “${still.name}” into frames`"
    :width="980"
    :verb="plate && plate.taken.value.length > 0 ? `Cut into ${framesText(plate.taken.value.length)}` : 'Cut'"
    :disabled="!plate || plate.busy.value || plate.taken.value.length === 0"
    :done="done"
  >
    <div v-if="plate" class="plate">
      <plate-view :plate="plate" :still="still" />
      <plate-settings :plate="plate" />
      <plate-strip class="over-all" :plate="plate" :still="still" />
    </div>
  </dialog-card>
</template>

<style scoped>
.plate {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  gap: 16px;
}

.over-all {
  grid-column: 1 / -1;
  min-width: 0;
}

@media (max-width: 760px) {
  .plate {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
