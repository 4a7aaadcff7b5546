<script setup lang="ts">
import { mdiFolderOutline, mdiImagePlusOutline } from '@mdi/js'
import { ref } from 'vue'
import { gatherInto, gathering } from './gather'

/** Chooses files or a folder. Without a reel to add to, they make a new one. */
const props = defineProps<{ to?: { reel: string; at: number }; prominent?: boolean }>()
const files = ref<HTMLInputElement | null>(null)
const folder = ref<HTMLInputElement | null>(null)

function take(event: Event): void {
  const input = event.target as HTMLInputElement
  const chosen = [...(input.files ?? [])].map((file) => ({
    file,
    folder: file.webkitRelativePath.split('/').at(-2) ?? '',
  }))
  input.value = ''
  void gatherInto(chosen, props.to?.reel ?? null, props.to?.at ?? 0)
}
</script>

<template>
  <span class="add">
    <v-btn :variant="prominent ? 'flat' : 'outlined'" :color="prominent ? 'primary' : undefined"
      :size="prominent ? 'default' : 'small'" :prepend-icon="mdiImagePlusOutline" :disabled="gathering.active"
      @click="files?.click()">{{ prominent ? 'Choose stills' : 'Add stills' }}</v-btn>
    <v-btn :variant="prominent ? 'outlined' : 'text'" :size="prominent ? 'default' : 'small'"
      :prepend-icon="mdiFolderOutline" :disabled="gathering.active" @click="folder?.click()">{{ prominent ?
        'Choose a folder' : 'Folder' }}</v-btn>
    <input ref="files" type="file" multiple accept="image/*" class="unseen" tabindex="-1" aria-label="Stills to add"
      data-test="files" @change="take" />
    <input ref="folder" type="file" webkitdirectory class="unseen" tabindex="-1" aria-label="Folder of stills to add"
      data-test="folder" @change="take" />
  </span>
</template>

<style scoped>
.add {
  position: relative;
  display: inline-flex;
  gap: 6px;
}
</style>
