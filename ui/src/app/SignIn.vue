<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { answer, api } from '@/api/client'
import { sentenceFor } from '@/api/problem'
import { session, signedOut } from '@/api/session'
import { isUnsent } from '@/ground/unsent'
import Brand from '@/parts/Brand.vue'

/** Asks for the password, and where people have names for the name, and begins anew once they were right. */
const named = computed(() => session.value?.named ?? false)
const name = ref('')
const form = useTemplateRef<HTMLFormElement>('form')
const password = ref('')
const problem = ref('')
const busy = ref(false)

onMounted(async () => {
  session.value = await answer(api.GET('/api/session')).catch(() => null)
  form.value?.querySelector('input')?.focus()
})

async function signIn(): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    await answer(api.POST('/api/session', { body: { name: name.value, password: password.value } }))
    if (isUnsent()) {
      // What waits to be sent would be lost with the page.
      signedOut.value = false
    } else {
      location.reload()
    }
  } catch (failure) {
    problem.value = sentenceFor(failure)
    password.value = ''
    busy.value = false
  }
}
</script>

<template>
  <main class="sign-in">
    <form v-if="session" ref="form" aria-label="Sign in" @submit.prevent="signIn">
      <brand />
      <p class="quiet">
        {{
          named
            ? 'This Dobbin keeps a shelf for everyone who works with it. Whoever runs it gives out names and passwords.'
            : 'This Dobbin asks for a password. Whoever runs it can tell you.'
        }}
      </p>
      <v-text-field v-if="named" v-model="name" label="Name" autocomplete="username" maxlength="40" hide-details />
      <v-text-field
        v-model="password"
        type="password"
        label="Password"
        autocomplete="current-password"
        hide-details
        :aria-describedby="problem ? 'sign-in-problem' : undefined"
      />
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
