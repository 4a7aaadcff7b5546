<script setup lang="ts">
import { mdiKeyboardOutline, mdiLogout, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { computed, onMounted } from 'vue'
import { useTheme } from 'vuetify'
import { answer, api } from '@/api/client'
import { session } from '@/api/session'
import { keyListShown } from '@/ground/keys'
import { sayProblem } from '@/ground/messages'
import { toggleTheme } from '@/ground/theme'

const theme = useTheme()
const dark = computed(() => theme.global.current.value.dark)
const leave = computed(() => (session.value?.name ? `Sign out (${session.value.name})` : 'Sign out'))

onMounted(async () => {
  session.value ??= await answer(api.GET('/api/session')).catch(() => null)
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
    <v-btn v-if="session?.needed" :icon="mdiLogout" size="small" :aria-label="leave" :title="leave" @click="signOut" />
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
