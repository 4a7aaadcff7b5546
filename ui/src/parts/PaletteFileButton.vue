<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, bytesOf } from '@/api/client'
import { sayProblem } from '@/ground/messages'

/** Reads the colors of a palette file: CSS color codes, one a line, or a PNG of one pixel a color. */
defineProps<{ label: string }>()
const emit = defineEmits<{ read: [colors: string[], from: string] }>()
const chooser = ref<HTMLInputElement | null>(null)

async function read(): Promise<void> {
  const file = chooser.value?.files?.[0]
  if (!file) {
    return
  }
  try {
    const { colors } = await answer(
      api.POST('/api/palettes/read', {
        params: { query: { name: file.name } },
        ...bytesOf(file),
      }),
    )
    emit('read', colors, file.name)
  } catch (failure) {
    sayProblem(failure)
  }
  if (chooser.value) {
    chooser.value.value = ''
  }
}
</script>

<template>
  <v-btn
    size="small"
    variant="outlined"
    title="CSS color codes, one a line, or a PNG of one pixel a color"
    @click="chooser?.click()"
    >{{ label }}</v-btn
  >
  <input
    ref="chooser"
    type="file"
    accept=".txt,.css,.png,text/plain,image/png"
    class="unseen"
    tabindex="-1"
    aria-label="Palette file"
    @change="read"
  />
</template>
