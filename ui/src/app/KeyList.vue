<script setup lang="ts">
import { isTyping, keyListShown } from '@/ground/keys'
import type { KeyGroup } from '@/ground/keys'
import DialogCard from '@/parts/DialogCard.vue'
import { useEventListener } from '@vueuse/core'

/** What each key does; the keys themselves are bound where they act. */
defineProps<{ groups: KeyGroup[] }>()

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key === '?' && !isTyping(event.target)) {
    keyListShown.value = !keyListShown.value
  } else if (event.key === 'Escape') {
    // The dialog's own handling waits until it is fully open, which quick fingers do not.
    keyListShown.value = false
  }
})
</script>

<template>
  <dialog-card v-model="keyListShown" title="Keys" :width="1080">
    <div class="groups">
      <section v-for="group in groups" :key="group.title">
        <h3>{{ group.title }}</h3>
        <dl>
          <template v-for="[keys, does] in group.keys" :key="keys">
            <dt>{{ keys }}</dt>
            <dd>{{ does }}</dd>
          </template>
        </dl>
      </section>
    </div>
  </dialog-card>
</template>

<style scoped>
.groups {
  columns: 3 280px;
  column-gap: 32px;
  margin: 12px 0;
}

section {
  margin-bottom: 14px;
  break-inside: avoid;
}

h3 {
  font-size: 14px;
  color: var(--rein);
}

dl {
  display: grid;
  grid-template-columns: 132px 1fr;
  gap: 4px 10px;
  margin: 4px 0 0;
  font-size: 14px;
}

dt {
  font-weight: 600;
}

dd {
  margin: 0;
  color: var(--ink2);
}
</style>
