<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { limits } from '@/api/limits'
import { sayProblem } from '@/ground/messages'
import { useOpenReel } from '@/ground/navigation'
import DialogCard from '@/parts/DialogCard.vue'
import NumberField from '@/parts/NumberField.vue'

/** Begins a reel from nothing: one empty frame on a canvas of one's choice. */
const SIZES = [
  { width: 480, height: 320 },
  { width: 480, height: 480 },
  { width: 320, height: 480 },
  { width: 480, height: 270 },
  { width: 64, height: 64 },
  { width: 16, height: 16 },
]
const shown = defineModel<boolean>({ required: true })
const open = useOpenReel()
const name = ref('')
const size = ref({ ...SIZES[0]! })
const isSize = computed(() => (each: (typeof SIZES)[number]) => each.width === size.value.width && each.height === size.value.height)

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
      <v-text-field v-model="name" label="Name" :maxlength="limits.Rename.name.max" autofocus autocomplete="off"
        @focus="($event.target as HTMLInputElement).select()" />
      <fieldset>
        <legend>Canvas</legend>
        <div class="row">
          <number-field :value="size.width" label="Canvas width" suffix="px" v-bind="limits.EmptyReel.width" :step="10"
            @done="(width) => (size.width = width)" />
          <span class="quiet">×</span>
          <number-field :value="size.height" label="Canvas height" suffix="px" v-bind="limits.EmptyReel.height" :step="10"
            @done="(height) => (size.height = height)" />
        </div>
        <div class="chips" role="group" aria-label="Common canvases">
          <v-btn v-for="each in SIZES" :key="`${each.width} ${each.height}`" size="small" variant="outlined" class="chip"
            :active="isSize(each)" :aria-pressed="isSize(each)" @click="size = { ...each }">{{ each.width }} × {{ each.height }}</v-btn>
        </div>
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

.row {
  display: flex;
  align-items: center;
  gap: 10px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 10px;
}

p {
  margin: 0;
  font-size: 14px;
}
</style>
