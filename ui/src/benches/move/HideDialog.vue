<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import NumberField from '@/parts/NumberField.vue'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'
import { useCells } from './cells'
import { useMoving } from './moving'

/** Hides cut-outs on a row of frames, or shows them there again. Their poses stay. */
const store = useReel()
const playhead = usePlayhead()
const asking = useAsking()
const moving = useMoving()
const cells = useCells()
const shown = asking.isShown('hide')
const first = ref(1)
const last = ref(1)
const there = ref(false)
const names = computed(() => (moving.single ? moving.single.cutout.name : `${moving.ids.length} cut-outs`))

watch(shown, (open) => {
  if (open) {
    const rows = cells.cells.map(({ frame }) => store.ids.indexOf(frame))
    first.value = (rows.length > 0 ? Math.min(...rows) : playhead.index) + 1
    last.value = (rows.length > 0 ? Math.max(...rows) : playhead.index) + 1
    there.value = false
  }
})

function done(): Promise<boolean> {
  const frames = store.ids.slice(first.value - 1, last.value)
  const within = moving.ids.flatMap((cutout) => frames.map((frame) => ({ cutout, frame })))
  return store.dispatch({ type: 'showCutouts', cells: within, there: there.value })
}
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="`Hide or show ${names}`"
    :verb="there ? 'Show' : 'Hide'"
    :width="440"
    :disabled="last < first"
    :done="done"
  >
    <v-btn-toggle
      v-model="there"
      mandatory
      density="compact"
      variant="outlined"
      divided
      aria-label="On these frames"
      class="mb-4"
    >
      <v-btn :value="false" size="small">hide</v-btn>
      <v-btn :value="true" size="small">show</v-btn>
    </v-btn-toggle>
    <div class="row">
      <number-field
        :value="first"
        label="From frame"
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
    <p class="quiet" role="status">
      {{ last < first ? 'The last frame must not come before the first.' : 'Its poses stay as they are.' }}
    </p>
  </dialog-card>
</template>

<style scoped>
.row {
  display: flex;
  gap: 12px;
}

p {
  margin: 12px 0 0;
}
</style>
