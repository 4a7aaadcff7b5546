<script setup lang="ts">
import { mdiDownload, mdiGiftOutline } from '@mdi/js'
import { computed, watch } from 'vue'
import { limits } from '@/api/limits'
import type { JobView, ReelView } from '@/api/types'

const props = defineProps<{ reel: ReelView; job: JobView | null; busy: boolean }>()
const emit = defineEmits<{ deliver: [name: string, download: boolean]; stop: [] }>()

/** Of the file, without its ending: the reel's, until someone writes another. */
const name = defineModel<string>('name', { required: true })
watch(
  () => props.reel.name,
  (reelName, before) => {
    if (name.value === '' || name.value === before) name.value = reelName
  },
  { immediate: true },
)
const ready = computed(() => props.reel.frames.length > 0 && name.value.trim() !== '')
</script>

<template>
  <form class="deliver" @submit.prevent="emit('deliver', name, false)">
    <v-text-field
      v-model="name"
      label="File name"
      suffix=".gif"
      :maxlength="limits.Rename.name.max"
      autocomplete="off"
    />
    <div v-if="busy" class="working">
      <v-progress-linear
        :model-value="job ? (job.done / job.total) * 100 : 0"
        :indeterminate="!job"
        color="success"
        height="8"
        rounded
        aria-label="Delivering"
      />
      <v-btn size="small" variant="outlined" @click="emit('stop')">Stop</v-btn>
    </div>
    <div v-else class="ways">
      <v-btn
        type="submit"
        variant="flat"
        color="primary"
        :prepend-icon="mdiGiftOutline"
        :disabled="!ready"
        title="Make the file and keep it in the list"
        >Deliver</v-btn
      >
      <v-btn
        variant="outlined"
        :prepend-icon="mdiDownload"
        :disabled="!ready"
        title="Make the file, keep it, and save it here"
        @click="emit('deliver', name, true)"
        >Deliver and download</v-btn
      >
    </div>
  </form>
</template>

<style scoped>
.deliver {
  display: grid;
  gap: 10px;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}

.ways {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
}

.working {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 36px;
}
</style>
