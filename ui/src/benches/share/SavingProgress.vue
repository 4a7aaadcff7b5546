<script setup lang="ts">
import { bytesText } from '@/parts/format'
import { saving, stopSaving } from './saving'

/** How much of a file is there, and a way to stop. */
</script>

<template>
  <div class="working" role="status">
    <v-progress-linear indeterminate color="success" height="8" rounded aria-label="Being made" />
    <span>{{ bytesText(saving.bytes) }}</span>
    <v-btn size="small" variant="outlined" @click="stopSaving">Stop</v-btn>
  </div>
</template>

<style scoped>
.working {
  display: flex;
  align-items: center;
  gap: 8px;
}

span {
  white-space: nowrap;
}
</style>
