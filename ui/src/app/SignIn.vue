<script setup lang="ts">
import { ref } from 'vue'
import { answer, api } from '@/api/client'
import { sentenceFor } from '@/api/problem'
import Brand from '@/parts/Brand.vue'

/** Asks for the password, and begins anew once it was right. */
const password = ref('')
const problem = ref('')
const busy = ref(false)

async function signIn(): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    await answer(api.POST('/api/session', { body: { password: password.value } }))
    location.reload()
  } catch (failure) {
    problem.value = sentenceFor(failure)
    password.value = ''
    busy.value = false
  }
}
</script>

<template>
  <main class="sign-in">
    <form aria-label="Sign in" @submit.prevent="signIn">
      <brand />
      <p class="quiet">This Dobbin asks for a password. Whoever runs it can tell you.</p>
      <v-text-field v-model="password" type="password" label="Password" autocomplete="current-password" autofocus hide-details
        :aria-describedby="problem ? 'sign-in-problem' : undefined" />
      <p v-if="problem" id="sign-in-problem" role="alert">{{ problem }}</p>
      <v-btn type="submit" variant="flat" color="primary" :loading="busy">Sign in</v-btn>
    </form>
  </main>
</template>

<style scoped>
.sign-in {
  display: grid;
  place-items: center;
  min-height: 100dvh;
  padding: 20px;
}

form {
  display: grid;
  gap: 14px;
  width: min(360px, 100%);
  padding: 28px;
  border-radius: 16px;
  background: var(--card);
  box-shadow: var(--shade);
}

p {
  margin: 0;
}

[role='alert'] {
  color: var(--rein);
}
</style>
