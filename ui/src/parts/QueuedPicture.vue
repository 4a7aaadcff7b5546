<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'
import { wantPicture } from '@/api/pictureQueue'
import type { Wanted } from '@/api/pictureQueue'

/** A picture in view that comes in its turn; until then the one before stays. */
const props = defineProps<{ src: string }>()
const shown = ref<HTMLImageElement | null>(null)
let wanted: Wanted | null = null

async function load(src: string): Promise<void> {
  wanted?.giveUp()
  const mine = wantPicture(src, () => 'seen')
  wanted = mine
  try {
    const image = await mine.image
    if (wanted === mine) {
      shown.value = image
    }
  } catch {
    // A look that is gone by now, after an edit or without a server.
  }
}

watch(() => props.src, (src) => void load(src), { immediate: true })
onBeforeUnmount(() => wanted?.giveUp())
</script>

<template>
  <img v-if="shown" :src="shown.src" alt="" draggable="false" decoding="sync" />
  <span v-else aria-hidden="true" />
</template>
