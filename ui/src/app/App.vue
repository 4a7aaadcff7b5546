<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { signedOut } from '@/api/session'
import WaitingClips from '@/gather/clip/WaitingClips.vue'
import GatherPanel from '@/gather/GatherPanel.vue'
import LayersDialog from '@/gather/LayersDialog.vue'
import VectorSide from '@/gather/VectorSide.vue'
import { finishBeforePresses } from '@/ground/finishing'
import { useKeyboard } from '@/ground/keys'
import { atFoot, barsBelow, message } from '@/ground/messages'
import { ALL_KEYS } from './keys'
import KeyList from './KeyList.vue'
import SignIn from './SignIn.vue'

const shown = computed({
  get: () => atFoot.value !== null,
  set: (open: boolean) => {
    if (!open) message.value = null
  },
})
useKeyboard()
finishBeforePresses()

/** Each message is shown for its own time, also where another is still there. */
const said = ref(0)
watch(atFoot, () => said.value++)

function act(): void {
  message.value?.action?.run()
  message.value = null
}
</script>

<template>
  <v-app>
    <sign-in v-if="signedOut" />
    <router-view v-else />
    <gather-panel />
    <waiting-clips />
    <vector-side />
    <layers-dialog />
    <key-list :groups="ALL_KEYS" />
    <v-snackbar
      :key="said"
      v-model="shown"
      :timeout="atFoot?.kind === 'problem' ? 9000 : 5000"
      :style="{ marginBottom: `${barsBelow}px` }"
      :role="atFoot?.kind === 'problem' ? 'alert' : 'status'"
      location="bottom"
    >
      {{ atFoot?.text }}
      <template #actions>
        <v-btn v-if="atFoot?.action" variant="outlined" @click="act">{{ atFoot.action.label }}</v-btn>
        <v-btn @click="shown = false">Close</v-btn>
      </template>
    </v-snackbar>
  </v-app>
</template>
