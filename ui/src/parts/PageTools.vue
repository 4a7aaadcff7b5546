<script setup lang="ts">
import { mdiKeyboardOutline, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { computed } from 'vue'
import { useTheme } from 'vuetify'
import { keyListShown } from '@/ground/keys'
import { toggleTheme } from '@/ground/theme'

const theme = useTheme()
const dark = computed(() => theme.global.current.value.dark)
</script>

<template>
  <span class="tools">
    <v-btn :icon="dark ? mdiWhiteBalanceSunny : mdiWeatherNight" size="small"
      :aria-label="dark ? 'Light colors' : 'Dark colors'" :title="dark ? 'Light colors' : 'Dark colors'"
      @click="toggleTheme" />
    <v-btn :icon="mdiKeyboardOutline" size="small" class="keys-list" aria-label="Keys" title="Keys (?)" @click="keyListShown = true" />
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
