<script setup lang="ts">
import { computed, ref } from 'vue'
import ClipWorkplace from './ClipWorkplace.vue'
import { waitingClips } from './clips'

/** One workplace after the other. */
const first = computed(() => waitingClips.value[0])
const gone = ref(0)

function next(): void {
  gone.value++
  waitingClips.value = waitingClips.value.slice(1)
}
</script>

<template>
  <clip-workplace v-if="first" :key="gone" :waiting="first" @done="next" />
</template>
