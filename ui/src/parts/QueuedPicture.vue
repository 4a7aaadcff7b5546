<script setup lang="ts">
import { mdiImageBrokenVariant } from '@mdi/js'
import { onBeforeUnmount, ref, watch } from 'vue'
import { wantPicture } from '@/api/pictureQueue'
import type { Wanted } from '@/api/pictureQueue'

/** A picture in view that comes in its turn; until then the one before stays. */
const props = defineProps<{ src: string }>()
const shown = ref<HTMLImageElement | null>(null)
const failed = ref(false)
let wanted: Wanted | null = null

async function load(src: string): Promise<void> {
  wanted?.giveUp()
  const mine = wantPicture(src, () => 'seen')
  wanted = mine
  try {
    const image = await mine.image
    if (wanted === mine) {
      shown.value = image
      failed.value = false
    }
  } catch {
    // A look that is gone by now, after an edit or without a server, or a picture that is damaged.
    failed.value = wanted === mine
  }
}

watch(
  () => props.src,
  (src) => void load(src),
  { immediate: true },
)
onBeforeUnmount(() => wanted?.giveUp())
</script>

<template>
  <span v-if="failed" class="gone" title="This picture cannot be shown"
    ><v-icon :icon="mdiImageBrokenVariant" aria-label="This picture cannot be shown"
  /></span>
  <img v-else-if="shown" :src="shown.src" alt="" draggable="false" decoding="sync" />
  <span v-else aria-hidden="true" />
</template>

<style scoped>
.gone {
  display: grid;
  place-items: center;
  width: 100%;
  height: 100%;
  color: var(--ink2);
}
</style>
