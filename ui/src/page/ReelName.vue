<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { limits } from '@/api/limits'
import { useReel } from '@/reel/store'

const store = useReel()
const editing = ref(false)
const text = ref('')
const field = ref<HTMLInputElement | null>(null)

async function begin(): Promise<void> {
  text.value = store.reel?.name ?? ''
  editing.value = true
  await nextTick()
  field.value?.select()
}

async function finish(): Promise<void> {
  if (!editing.value) {
    return
  }
  editing.value = false
  const name = text.value.trim()
  if (name && name !== store.reel?.name) {
    await store.dispatch({ type: 'rename', name })
  }
}
</script>

<template>
  <input
    v-if="editing"
    ref="field"
    v-model="text"
    class="name"
    aria-label="Name of the reel"
    :maxlength="limits.Rename.name.max"
    @blur="finish"
    @keydown.enter="finish"
    @keydown.esc.stop="editing = false"
  />
  <h1 v-else class="title">
    <button type="button" class="name" :title="`${store.reel?.name} (rename)`" @click="begin">
      {{ store.reel?.name }}
    </button>
  </h1>
</template>

<style scoped>
.title {
  min-width: 0;
  font-size: inherit;
}

.name {
  max-width: 100%;
  padding: 4px 6px;
  overflow: hidden;
  border: 1px solid transparent;
  border-radius: 6px;
  font: 650 15px var(--v-font-body);
  color: var(--ink);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.name:hover,
input.name {
  border-color: var(--line);
  background: var(--sunk);
}
</style>
