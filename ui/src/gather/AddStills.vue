<script setup lang="ts">
import { mdiFolderOutline, mdiImagePlusOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { useOpenReel } from '@/ground/navigation'
import type { Into } from './arriving'
import FileChooser from './FileChooser.vue'
import { gatherInto } from './gather'
import { gathering } from './gathering'

/** Chooses files or a folder to begin with. Without a reel to add to, they make a new one. */
const props = defineProps<{ to?: string }>()
const open = useOpenReel()
const into = computed<Into>(() => (props.to ? { reel: props.to, after: 0 } : { open }))
const chooser = ref<InstanceType<typeof FileChooser> | null>(null)
</script>

<template>
  <span class="add">
    <v-btn
      variant="flat"
      color="primary"
      :prepend-icon="mdiImagePlusOutline"
      :disabled="gathering.active"
      @click="chooser?.chooseFiles()"
      >Choose stills</v-btn
    >
    <v-btn
      variant="outlined"
      :prepend-icon="mdiFolderOutline"
      :disabled="gathering.active"
      @click="chooser?.chooseFolder()"
      >Choose a folder</v-btn
    >
    <file-chooser ref="chooser" @take="(files) => gatherInto(files, into)" />
  </span>
</template>

<style scoped>
.add {
  display: inline-flex;
  gap: 6px;
}
</style>
