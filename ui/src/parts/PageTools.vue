<script setup lang="ts">
import { mdiKeyboardOutline, mdiLogout, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { computed, onMounted, ref } from 'vue'
import { useTheme } from 'vuetify'
import { answer, api } from '@/api/client'
import { keyListShown } from '@/ground/keys'
import { sayProblem } from '@/ground/messages'
import { toggleTheme } from '@/ground/theme'

const theme = useTheme()
const dark = computed(() => theme.global.current.value.dark)
/** Whether one can sign out. */
const mayLeave = ref(false)

onMounted(async () => {
  const session = await answer(api.GET('/api/session')).catch(() => null)
  mayLeave.value = session?.needed ?? false
})

async function signOut(): Promise<void> {
  await answer(api.DELETE('/api/session')).catch(sayProblem)
  location.assign('/')
}
</script>

<template>
  <span class="tools">
    <v-btn :icon="dark ? mdiWhiteBalanceSunny : mdiWeatherNight" size="small"
      :aria-label="dark ? 'Light colors' : 'Dark colors'" :title="dark ? 'Light colors' : 'Dark colors'"
      @click="toggleTheme" />
    <v-btn :icon="mdiKeyboardOutline" size="small" class="keys-list" aria-label="Keys" title="Keys (?)" @click="keyListShown = true" />
  <v-btn v-if="mayLeave" :icon="mdiLogout" size="small" aria-label="Sign out" title="Sign out" @click="signOut" />
  </span>
</template>

<style scoped>
.tools {
  display: inline-flex;
  color: var(--ink2);
}

/* Where there is no room, there is hardly a keyboard; its ? still works. */
@media (max-width: 480px) {
  .keys-list {
    display: none;
  }
}
</style>
