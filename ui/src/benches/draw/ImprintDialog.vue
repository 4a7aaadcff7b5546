<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'
import { useDrawing } from './drawing'

/** Makes a cut-out ink, on this page or on all pages where it is seen. */
const store = useReel()
const drawing = useDrawing()
const asking = useAsking()
const shown = asking.isShown('imprint')
const here = computed(() => drawing.cutoutsHere)
const cutout = ref(0)
const everywhere = ref(false)
const pages = computed(() => {
  const away = here.value.find((each) => each.id === cutout.value)?.away ?? []
  return everywhere.value ? store.ids.filter((id) => !away.includes(id)) : drawing.frame ? [drawing.frame.id] : []
})

watch(shown, (open) => {
  if (open) {
    cutout.value = here.value.at(-1)?.id ?? 0
    everywhere.value = false
  }
})

const done = (): Promise<boolean> => store.imprint(cutout.value, pages.value)
</script>

<template>
  <dialog-card v-model="shown" title="Make a cut-out ink" verb="Make it ink" :done="done">
    <v-select
      v-model="cutout"
      :items="here"
      item-title="name"
      item-value="id"
      label="Cut-out"
      variant="outlined"
      density="compact"
      hide-details
    />
    <v-checkbox v-model="everywhere" label="On all pages where it is seen" density="compact" hide-details />
    <p class="quiet">It is drawn into the ink where it lies, and is no cut-out there any more.</p>
  </dialog-card>
</template>
