<script setup lang="ts">
import type { Action } from './action'

/** Actions as a menu, in groups. */
defineProps<{ groups: Action[][]; label: string }>()
</script>

<template>
  <v-list density="compact" role="menu" :aria-label="label" class="list">
    <div v-for="(group, i) in groups" :key="i" role="group" class="group">
      <v-list-item
        v-for="action in group"
        :key="action.label"
        role="menuitem"
        :prepend-icon="action.icon"
        :title="action.label"
        :disabled="!action.enabled"
        @click="action.run()"
      >
        <template v-if="action.keys && action.enabled" #append
          ><span class="keys">{{ action.keys }}</span></template
        >
      </v-list-item>
    </div>
  </v-list>
</template>

<style scoped>
.list {
  min-width: 250px;
}

.group + .group {
  margin-top: 4px;
  padding-top: 4px;
  border-top: 1px solid var(--line);
}
</style>
