<script setup lang="ts">
import { ref, watch } from 'vue'
import { focusAgain } from '@/ground/focus'
import { useLayer } from '@/ground/layers'
import { message, useOwnPlace } from '@/ground/messages'

/**
 * A dialog with a title, what it is about, and a way out on the left of the way on. It stays until what it asked for is done:
 * what is refused is said in it, and nothing that was typed is lost.
 */
const props = defineProps<{
  title: string
  width?: number
  verb?: string
  disabled?: boolean
  /** Does what was asked for; false, or a promise of it, where that failed. */
  done?: () => unknown
}>()
const emit = defineEmits<{ gone: [] }>()
const shown = defineModel<boolean>({ required: true })
const busy = ref(false)
useLayer(shown)
const problem = useOwnPlace(shown)
watch(shown, () => (busy.value = false))

async function submit(): Promise<void> {
  if (busy.value || props.disabled) {
    return
  }
  message.value = null
  busy.value = true
  const done = await props.done?.()
  busy.value = false
  if (done !== false) {
    shown.value = false
  }
}

function afterLeave(): void {
  focusAgain()
  emit('gone')
}
</script>

<template>
  <v-dialog v-model="shown" :max-width="width ?? 400" :aria-label="title" @after-leave="afterLeave">
    <v-card class="pa-6" rounded="xl">
      <form @submit.prevent="submit">
        <h2 class="title">{{ title }}</h2>
        <slot />
        <p v-if="problem" class="refused" role="alert">{{ problem }}</p>
        <div class="ways">
          <v-btn @click="shown = false">{{ verb ? 'Cancel' : 'Close' }}</v-btn>
          <v-btn v-if="verb" type="submit" variant="flat" color="primary" :disabled="disabled" :loading="busy">{{
            verb
          }}</v-btn>
        </div>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.title {
  margin-bottom: 16px;
}

.refused {
  margin: 16px 0 0;
  padding: 8px 12px;
  border-radius: var(--round);
  background: var(--rein-soft);
}

.ways {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  margin-top: 20px;
}
</style>
