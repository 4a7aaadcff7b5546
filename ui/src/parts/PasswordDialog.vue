<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { say, sayProblem } from '@/ground/messages'
import DialogCard from './DialogCard.vue'

/** Takes another password for whoever has signed in. */
const shown = defineModel<boolean>({ required: true })
const before = ref('')
const password = ref('')
watch(shown, () => (before.value = password.value = ''))

async function change(): Promise<boolean> {
  try {
    await answer(api.POST('/api/session/password', { body: { before: before.value, password: password.value } }))
    say('Your password is changed. Other browsers have to sign in again.')
    return true
  } catch (failure) {
    sayProblem(failure)
    return false
  }
}
</script>

<template>
  <dialog-card
    v-model="shown"
    title="Change your password"
    verb="Change it"
    :disabled="before === '' || password === ''"
    :done="change"
  >
    <div class="fields">
      <v-text-field
        v-model="before"
        type="password"
        label="Password now"
        autocomplete="current-password"
        autofocus
        hide-details
      />
      <v-text-field v-model="password" type="password" label="New password" autocomplete="new-password" hide-details />
      <p class="quiet">8 characters or more. Some words that do not belong together are best.</p>
    </div>
  </dialog-card>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
}

p {
  margin: 0;
  font-size: 14px;
}
</style>
