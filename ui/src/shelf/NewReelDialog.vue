<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { limits } from '@/api/limits'
import { sayProblem } from '@/ground/messages'
import { useOpenReel } from '@/ground/navigation'
import DialogCard from '@/parts/DialogCard.vue'
import SizeField from '@/parts/SizeField.vue'

/** Begins a reel from nothing: one empty frame on a canvas of one's choice. */
const SIZES = [
  [480, 320],
  [480, 480],
  [320, 480],
  [480, 270],
  [64, 64],
  [16, 16],
].map(([width = 1, height = 1]) => ({
  size: { width, height },
  title: `${width} × ${height}`,
}))
const shown = defineModel<boolean>({ required: true })
const open = useOpenReel()
const name = ref('')
const size = ref({ ...SIZES[0]!.size })

watch(shown, (now) => {
  if (now) name.value = 'New reel'
})

async function done(): Promise<boolean> {
  try {
    const made = await answer(api.POST('/api/reels/empty', { body: { name: name.value, ...size.value } }))
    await open(made.id)
    return true
  } catch (failure) {
    sayProblem(failure)
    return false
  }
}
</script>

<template>
  <dialog-card v-model="shown" title="New reel" verb="Begin" :width="460" :disabled="name.trim() === ''" :done="done">
    <div class="settings">
      <v-text-field
        v-model="name"
        label="Name"
        :maxlength="limits.Rename.name.max"
        autofocus
        autocomplete="off"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <fieldset>
        <legend>Canvas</legend>
        <size-field v-model="size" :sizes="SIZES" chips="Common canvases" />
      </fieldset>
      <p class="quiet">It begins with one empty frame. Stills that you add later lie on this canvas.</p>
    </div>
  </dialog-card>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 14px;
}

legend {
  margin-bottom: 6px;
  font-weight: 650;
}

p {
  margin: 0;
  font-size: 14px;
}
</style>
