<script setup lang="ts">
import {
  mdiAccountOutline,
  mdiFormTextboxPassword,
  mdiHelpCircleOutline,
  mdiKeyboardOutline,
  mdiLogout,
  mdiWeatherNight,
  mdiWhiteBalanceSunny,
} from '@mdi/js'
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useTheme } from 'vuetify'
import { answer, api } from '@/api/client'
import { session } from '@/api/session'
import { keyListShown } from '@/ground/keys'
import { sayProblem } from '@/ground/messages'
import { toggleTheme } from '@/ground/theme'
import type { Action } from './action'
import ActionList from './ActionList.vue'
import DropMenu from './DropMenu.vue'
import PasswordDialog from './PasswordDialog.vue'

const route = useRoute()
/** Pages of the guide have the names of the routes. */
const guide = computed(() => `/guide/${String(route.name)}`)
const theme = useTheme()
const dark = computed(() => theme.global.current.value.dark)
const changing = ref(false)
const colors = computed(() =>
  dark.value ? { label: 'Light colors', icon: mdiWhiteBalanceSunny } : { label: 'Dark colors', icon: mdiWeatherNight },
)
const who = computed(() => session.value?.name ?? 'Signed in')
const own = computed<Action[][]>(() => {
  const change = {
    label: 'Change your password…',
    icon: mdiFormTextboxPassword,
    enabled: true,
    run: () => (changing.value = true),
  }
  const leave = { label: 'Sign out', icon: mdiLogout, enabled: true, run: () => void signOut() }
  return [[{ ...colors.value, enabled: true, run: toggleTheme }], session.value?.name ? [change, leave] : [leave]]
})

onMounted(async () => {
  session.value ??= await answer(api.GET('/api/session')).catch(() => null)
})

async function signOut(): Promise<void> {
  try {
    await answer(api.DELETE('/api/session'))
    // What the browser kept of one person is not for the next.
    localStorage.clear()
    sessionStorage.clear()
    location.assign('/')
  } catch (failure) {
    sayProblem(failure)
  }
}
</script>

<template>
  <span class="tools">
    <v-btn
      :icon="colors.icon"
      size="small"
      :class="{ spared: session?.needed }"
      :aria-label="colors.label"
      :title="colors.label"
      @click="toggleTheme"
    />
    <v-btn
      :icon="mdiKeyboardOutline"
      size="small"
      class="spared"
      aria-label="Keys"
      title="Keys (?)"
      @click="keyListShown = true"
    />
    <v-btn
      :icon="mdiHelpCircleOutline"
      size="small"
      class="spared"
      :href="guide"
      target="_blank"
      aria-label="Guide to this page"
      title="Guide to this page (in a new tab)"
    />
    <drop-menu v-if="session?.needed">
      <template #activator="{ props: activator }">
        <v-btn v-bind="activator" :icon="mdiAccountOutline" size="small" :aria-label="who" :title="who" />
      </template>
      <action-list :groups="own" :label="who" />
    </drop-menu>
    <password-dialog v-model="changing" />
  </span>
</template>

<style scoped>
.tools {
  display: inline-flex;
  color: var(--ink2);
}

/* Where there is no room, there is hardly a keyboard; its ? still works. Colors are in the menu of whoever signed in. */
@media (max-width: 480px) {
  .spared {
    display: none;
  }
}
</style>
