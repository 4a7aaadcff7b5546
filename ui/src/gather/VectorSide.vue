<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import NumberField from '@/parts/NumberField.vue'
import { vectorSide } from './vectorSide'

/** Asks how large drawings become that can have any size. */
const OWN_SIZE = 0
const LARGEST = 1600
const SIDES = [240, 480, 960]
const { asked } = vectorSide
const shown = ref(false)
const side = ref(OWN_SIZE)
const title = computed(() => {
  const files = asked.value?.files ?? []
  return files.length === 1 ? `How large is “${files[0]?.name}”?` : `How large are these ${files.length} drawings?`
})
watch(asked, (now) => {
  if (now) shown.value = true
})

/** Closing it without an answer leaves the drawings out. By now it may be open again, for other drawings. */
function gone(): void {
  if (!shown.value) asked.value?.answer(null)
}

const done = (): void => asked.value?.answer(side.value)
</script>

<template>
  <dialog-card v-model="shown" :title="title" verb="Draw" :done="done" @gone="gone">
    <p class="quiet">SVG has no pixels of its own, so it is sharp at any size.</p>
    <div class="sides">
      <number-field
        :value="side === OWN_SIZE ? null : side"
        label="Longer side"
        labelled
        suffix="px"
        :min="1"
        :max="LARGEST"
        :step="10"
        @done="(value) => (side = value)"
      />
      <div class="chips" role="group" aria-label="Sizes">
        <v-btn
          size="small"
          variant="outlined"
          class="chip"
          :active="side === OWN_SIZE"
          :aria-pressed="side === OWN_SIZE"
          @click="side = OWN_SIZE"
          >Its own</v-btn
        >
        <v-btn
          v-for="each in SIDES"
          :key="each"
          size="small"
          variant="outlined"
          class="chip"
          :active="side === each"
          :aria-pressed="side === each"
          @click="side = each"
          >{{ each }}</v-btn
        >
      </div>
    </div>
  </dialog-card>
</template>

<style scoped>
.sides {
  display: grid;
  gap: 10px;
  margin-top: 14px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
