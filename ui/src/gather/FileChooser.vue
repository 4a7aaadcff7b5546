<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { gatherable } from './gatherable'
import type { Gatherable } from './gatherable'

/** The browser's own pickers, for files, one file, or a folder. */
const emit = defineEmits<{ take: [files: Gatherable[]]; cancel: [] }>()
const files = ref<HTMLInputElement | null>(null)
const folder = ref<HTMLInputElement | null>(null)
const many = ref(true)

async function open(several: boolean): Promise<void> {
  many.value = several
  await nextTick()
  files.value?.click()
}

function take(event: Event): void {
  const input = event.target as HTMLInputElement
  const chosen = [...(input.files ?? [])].map((file) => gatherable(file, file.webkitRelativePath.split('/').at(-2)))
  input.value = ''
  many.value = true
  emit('take', chosen)
}

defineExpose({ chooseFiles: () => open(true), chooseOne: () => open(false), chooseFolder: () => folder.value?.click() })
</script>

<template>
  <span class="pickers">
    <input
      ref="files"
      type="file"
      :multiple="many"
      accept="image/*,video/*,.ora,.dobbin"
      class="unseen"
      tabindex="-1"
      aria-label="Stills to add"
      data-test="files"
      @change="take"
      @cancel="emit('cancel')"
    />
    <input
      ref="folder"
      type="file"
      webkitdirectory
      class="unseen"
      tabindex="-1"
      aria-label="Folder of stills to add"
      data-test="folder"
      @change="take"
    />
  </span>
</template>

<style scoped>
.pickers {
  position: relative;
}
</style>
