<script setup lang="ts">
import { mdiPackageDown } from '@mdi/js'
import { ref } from 'vue'
import { useReel } from '@/reel/store'
import { saveWork, saving } from './saving'
import SavingProgress from './SavingProgress.vue'

/** All of the reel in one file, to be opened on another machine. */
const store = useReel()
const history = ref(false)
</script>

<template>
  <section class="work" aria-label="Working file">
    <h2>To go on elsewhere</h2>
    <p class="quiet">
      A working file holds the whole reel: its stills, frames, cut-outs and settings. Drop it on the shelf of any Dobbin
      to open it.
    </p>
    <v-checkbox v-model="history" density="compact" hide-details color="primary" label="With its history" />
    <saving-progress v-if="saving.what === 'work'" />
    <div v-else>
      <v-btn
        variant="outlined"
        :prepend-icon="mdiPackageDown"
        :disabled="saving.what !== null"
        @click="saveWork(store.reel!.id, history)"
        >Save working file</v-btn
      >
    </div>
  </section>
</template>

<style scoped>
.work {
  display: grid;
  gap: 10px;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}

p {
  margin: 0;
  font-size: 14px;
}
</style>
