<script setup lang="ts">
import { focusAgain } from './focus'

/** A dialog with a title, what it is about, and a way out on the left of the way on. */
defineProps<{ title: string; width?: number; verb?: string; disabled?: boolean }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ done: [] }>()
</script>

<template>
  <v-dialog v-model="shown" :max-width="width ?? 400" :aria-label="title" @after-leave="focusAgain">
    <v-card class="pa-6" rounded="xl">
      <form @submit.prevent="emit('done')">
        <h2 class="title">{{ title }}</h2>
        <slot />
        <div class="ways">
          <v-btn @click="shown = false">{{ verb ? 'Cancel' : 'Close' }}</v-btn>
          <v-btn v-if="verb" type="submit" variant="flat" color="primary" :disabled="disabled">{{ verb }}</v-btn>
        </div>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.title {
  margin-bottom: 16px;
}

.ways {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  margin-top: 20px;
}
</style>
