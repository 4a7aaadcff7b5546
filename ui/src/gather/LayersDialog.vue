<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import { layers } from './layers'

/** Asks what becomes of the layers of a layered file. */
const { asked } = layers
const shown = ref(false)
const flattened = ref(false)
const title = computed(() => {
  const files = asked.value?.files ?? []
  return files.length === 1
    ? `What becomes of “${files[0]?.name}”?`
    : `What becomes of these ${files.length} layered files?`
})
watch(asked, (now) => {
  if (now) shown.value = true
})

/** Closing it without an answer leaves the files out. By now it may be open again, for others. */
function gone(): void {
  if (!shown.value) asked.value?.answer(null)
}

const done = (): void => asked.value?.answer(flattened.value)
</script>

<template>
  <dialog-card v-model="shown" :title="title" verb="Bring in" :done="done" @gone="gone">
    <v-radio-group
      v-model="flattened"
      hide-details
      color="primary"
      density="compact"
      aria-label="What becomes of the layers"
    >
      <v-radio :value="false" label="A frame for each layer or group that is visible, the lowest first" />
      <v-radio :value="true" label="One frame, with all visible layers over one another" />
    </v-radio-group>
  </dialog-card>
</template>
