<script setup lang="ts">
import { mdiContentCopy, mdiSelectAll, mdiSwapHorizontal, mdiTrashCanOutline } from '@mdi/js'
import { computed } from 'vue'
import AddStills from '@/gather/AddStills.vue'
import { durationText, framesText } from '@/parts/format'
import { useArranging } from '@/reel/arranging'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'

const store = useReel()
const selection = useSelection()
const arranging = useArranging()
const playhead = usePlayhead()

const words = computed(() =>
  selection.ids.length === 0
    ? { count: framesText(store.frames.length), time: durationText(playhead.total) }
    : { count: `${selection.ids.length} of ${framesText(store.frames.length)}`, time: durationText(selection.millis) },
)
const nothing = computed(() => selection.ids.length === 0)
const everything = computed(() => !nothing.value && selection.ids.length === store.frames.length)
</script>

<template>
  <div class="bar" role="toolbar" aria-label="Selection">
    <span class="words" role="status"><b>{{ words.count }}</b> <span class="quiet">· {{ words.time }}</span></span>
    <span class="actions">
      <v-btn size="small" :prepend-icon="mdiSelectAll" :disabled="store.frames.length === 0"
        :title="everything ? 'Select none (Escape)' : 'Select all (Ctrl + A)'"
        @click="everything ? selection.none() : selection.all()">{{ everything ? 'None' : 'All' }}</v-btn>
      <v-btn size="small" :prepend-icon="mdiSwapHorizontal" :disabled="store.frames.length < 2"
        :title="selection.ids.length > 1 ? 'Reverse the selection' : 'Reverse all frames'"
        @click="arranging.reverse">Reverse</v-btn>
      <v-btn size="small" :prepend-icon="mdiContentCopy" :disabled="nothing" title="Copy to after the selection"
        @click="arranging.copy()">Copy</v-btn>
      <v-btn size="small" :prepend-icon="mdiTrashCanOutline" :disabled="nothing" color="primary"
        title="Remove the selection (Delete)" @click="arranging.remove">Remove</v-btn>
    </span>
    <add-stills :to="{ reel: store.reel!.id, at: arranging.gapAfterSelection() }" />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  min-height: 52px;
  padding: 8px 20px;
}

.words {
  min-width: 150px;
}

.actions {
  display: flex;
  flex: 1;
}

@media (max-width: 1080px) {
  .bar {
    padding: 6px 12px;
  }

  .words {
    flex-basis: 100%;
  }
}
</style>
