<script setup lang="ts">
import { mdiFolderOutline, mdiImagePlusOutline } from '@mdi/js'
import { ref } from 'vue'
import FileChooser from './FileChooser.vue'
import { gatherInto, gathering } from './gather'

/** Chooses files or a folder to begin with. Without a reel to add to, they make a new one. */
defineProps<{ to?: string }>()
const chooser = ref<InstanceType<typeof FileChooser> | null>(null)
</script>

<template>
  <span class="add">
    <v-btn variant="flat" color="primary" :prepend-icon="mdiImagePlusOutline" :disabled="gathering.active"
      @click="chooser?.chooseFiles()">Choose stills</v-btn>
    <v-btn variant="outlined" :prepend-icon="mdiFolderOutline" :disabled="gathering.active"
      @click="chooser?.chooseFolder()">Choose a folder</v-btn>
    <file-chooser ref="chooser" @take="(files) => gatherInto(files, to ?? null, 0)" />
  </span>
</template>

<style scoped>
.add {
  display: inline-flex;
  gap: 6px;
}
</style>
