<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js'
import { computed, ref } from 'vue'
import { limits } from '@/api/limits'
import DropMenu from '@/parts/DropMenu.vue'
import { playsText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'

/** How often viewers play the loop in all. */
const store = useReel()
const open = ref(false)
const plays = computed(() => store.reel?.plays ?? 0)

async function set(times: number): Promise<void> {
  open.value = false
  if (times !== plays.value) {
    await store.dispatch({ type: 'setPlays', times })
  }
}
</script>

<template>
  <drop-menu v-model="open" :close-on-content-click="false" location="bottom end">
    <template #activator="{ props: activator }">
      <v-btn
        v-bind="activator"
        size="small"
        :append-icon="mdiChevronDown"
        class="plays"
        title="How often viewers play it"
        >plays {{ playsText(plays) }}</v-btn
      >
    </template>
    <v-card class="pa-4" width="260" rounded="lg" role="dialog" aria-label="Plays">
      <h2 class="mb-2">The file plays</h2>
      <div class="chips">
        <v-btn
          size="small"
          variant="outlined"
          class="chip"
          :active="plays === 0"
          :aria-pressed="plays === 0"
          @click="set(0)"
          >Forever</v-btn
        >
        <v-btn
          size="small"
          variant="outlined"
          class="chip"
          :active="plays === 1"
          :aria-pressed="plays === 1"
          @click="set(1)"
          >Once</v-btn
        >
      </div>
      <number-field
        :value="plays > 1 ? plays : null"
        label="Number of plays"
        labelled
        suffix="times"
        :min="1"
        :max="limits.SetPlays.times.max"
        @done="set"
      />
    </v-card>
  </drop-menu>
</template>

<style scoped>
.plays {
  margin-right: -8px;
  color: var(--ink2);
}

.chips {
  display: flex;
  gap: 6px;
  margin-bottom: 12px;
}
</style>
