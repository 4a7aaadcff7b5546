<script setup lang="ts">
import { onBeforeUnmount, onMounted } from 'vue'
import { isTyping, SHORTCUTS, shortcutsShown } from './shortcuts'

function onKey(event: KeyboardEvent): void {
  if (event.key === '?' && !isTyping(event.target)) {
    shortcutsShown.value = !shortcutsShown.value
  } else if (event.key === 'Escape') {
    // The dialog's own handling waits until it is fully open, which quick fingers do not.
    shortcutsShown.value = false
  }
}

onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <v-dialog v-model="shortcutsShown" max-width="1080" aria-labelledby="shortcuts-title">
    <v-card class="pa-6" rounded="xl">
      <h2 id="shortcuts-title">Keys</h2>
      <div class="groups">
        <section v-for="group in SHORTCUTS" :key="group.title">
          <h3>{{ group.title }}</h3>
          <dl>
            <template v-for="[keys, does] in group.keys" :key="keys">
              <dt>{{ keys }}</dt>
              <dd>{{ does }}</dd>
            </template>
          </dl>
        </section>
      </div>
      <div class="text-right">
        <v-btn variant="flat" color="primary" @click="shortcutsShown = false">Close</v-btn>
      </div>
    </v-card>
  </v-dialog>
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
