<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import GatherPanel from '@/gather/GatherPanel.vue'
import { message } from './messages'
import ShortcutsDialog from './ShortcutsDialog.vue'

/** How high the bars at the foot of the page are: a message must not cover them. */
const route = useRoute()
const barsBelow = computed(() => (route.meta.barsBelow as number | undefined) ?? 0)
const shown = computed({
  get: () => message.value !== null,
  set: (open: boolean) => {
    if (!open) message.value = null
  },
})

function act(): void {
  message.value?.action?.run()
  message.value = null
}
</script>

<template>
  <v-app>
    <router-view />
    <gather-panel />
    <shortcuts-dialog />
    <v-snackbar v-model="shown" :timeout="message?.kind === 'problem' ? 9000 : 5000"
      :style="{ marginBottom: `${barsBelow}px` }" :role="message?.kind === 'problem' ? 'alert' : 'status'" location="bottom">
      {{ message?.text }}
      <template #actions>
        <v-btn v-if="message?.action" variant="outlined" @click="act">{{ message.action.label }}</v-btn>
        <v-btn @click="shown = false">Close</v-btn>
      </template>
    </v-snackbar>
  </v-app>
</template>
