<script setup lang="ts">
import { mdiContentCopy } from '@mdi/js'
import { ref } from 'vue'
import { answer, api } from '@/api/client'
import { say, sayProblem } from '@/ground/messages'
import { useOpenReel } from '@/ground/navigation'
import { access } from '@/reel/access'
import { useReel } from '@/reel/store'

/** Says that this reel is somebody else's to change, and what one can do. */
const store = useReel()
const open = useOpenReel()
const busy = ref(false)

async function copy(): Promise<void> {
  busy.value = true
  try {
    const path = { id: store.reel?.id ?? '' }
    const made = await answer(api.POST('/api/reels/{id}/copies', { params: { path } }))
    await open(made.id)
    say(`This copy of “${made.name}” is yours.`)
  } catch (failure) {
    sayProblem(failure)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <aside class="looking" aria-label="Whose this reel is">
    <span
      >This reel is <b>{{ access?.owner }}’s</b>. You may look at it and take what is made of it, not change it.</span
    >
    <v-btn size="small" variant="outlined" :prepend-icon="mdiContentCopy" :loading="busy" @click="copy"
      >Copy it to my shelf</v-btn
    >
  </aside>
</template>

<style scoped>
.looking {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 16px;
  padding: 5px 20px;
  border-bottom: 1px solid var(--line);
  background: var(--sunk);
  font-size: 14px;
}
</style>
