<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import { framesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'
import { useDrawing } from './drawing'

/** Gives the ink of this page to the pages that follow, in place of theirs. */
const store = useReel()
const playhead = usePlayhead()
const drawing = useDrawing()
const asking = useAsking()
const shown = asking.isShown('pages')
const count = ref(1)
const most = computed(() => Math.max(1, store.frames.length - 1))

watch(shown, (open) => {
  if (open) {
    count.value = 1
  }
})

function done(): Promise<boolean> {
  const to = Array.from({ length: count.value }, (_, i) => store.frames[(playhead.index + 1 + i) % store.frames.length]!.id)
  return store.dispatch({ type: 'copyInk', frame: drawing.frame!.id, to })
}
</script>

<template>
  <dialog-card v-model="shown" title="Give this ink to the next pages" verb="Give it" :done="done">
    <number-field :value="count" label="How many pages" labelled :min="1" :max="most" variant="outlined" density="compact" hide-details="auto" @done="(wanted) => (count = wanted)" />
    <p class="quiet">The ink of {{ framesText(count) }} is replaced; after the last page the first one follows.</p>
  </dialog-card>
</template>
