<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'
import { ref } from 'vue'
import { answer, api } from '@/api/client'
import type { ReelCard } from '@/api/types'
import { say, sayProblem } from '@/ground/messages'
import { framesText } from '@/parts/format'

/** Reels that were taken off the shelf, and can be put back until they are emptied out. */
const props = defineProps<{ reels: ReelCard[]; days: number }>()
const emit = defineEmits<{ changed: []; restore: [id: string] }>()

const WHEN = new Intl.DateTimeFormat('en', { dateStyle: 'medium' })
const open = ref(false)
/** Asked once more: there is no way back from it. */
const sure = ref(false)

async function empty(): Promise<void> {
  sure.value = false
  try {
    await answer(api.DELETE('/api/removed'))
    say(props.reels.length === 1 ? 'The reel is gone for good.' : `${props.reels.length} reels are gone for good.`)
    emit('changed')
  } catch (failure) {
    sayProblem(failure)
  }
}

async function purge(card: ReelCard): Promise<void> {
  try {
    await answer(api.DELETE('/api/removed/{id}', { params: { path: { id: card.id } } }))
    say(`“${card.name}” is gone for good.`)
    emit('changed')
  } catch (failure) {
    sayProblem(failure)
  }
}
</script>

<template>
  <section class="drawer" aria-label="Removed">
    <div class="head">
      <button type="button" class="handle" :aria-expanded="open" @click="open = !open">
        <v-icon :icon="open ? mdiChevronDown : mdiChevronRight" size="20" />
        <b>Removed</b> <span class="quiet">{{ reels.length }}</span>
      </button>
      <template v-if="open">
        <span class="quiet note">Each goes for good {{ days }} days after it was removed.</span>
        <v-btn v-if="!sure" size="small" variant="outlined" @click="sure = true">Empty it</v-btn>
        <v-btn v-else size="small" variant="flat" color="primary" @click="empty" @blur="sure = false"
          >Remove all for good</v-btn
        >
      </template>
    </div>
    <ul v-if="open">
      <li v-for="card in reels" :key="card.id">
        <span class="name"
          ><b>{{ card.name }}</b>
          <span class="quiet"
            >{{ framesText(card.frames)
            }}{{ card.removed ? ` · removed ${WHEN.format(new Date(card.removed))}` : '' }}</span
          ></span
        >
        <v-btn
          size="small"
          variant="outlined"
          :aria-label="`Put “${card.name}” back`"
          @click="$emit('restore', card.id)"
          >Put it back</v-btn
        >
        <v-btn size="small" variant="text" :aria-label="`Remove “${card.name}” for good`" @click="purge(card)"
          >Remove for good</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.drawer {
  margin-top: 28px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  min-height: 40px;
}

.handle {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 6px 8px;
  border-radius: 8px;
}

.handle:hover {
  background: var(--sunk);
}

.note {
  font-size: 14px;
}

ul {
  display: grid;
  gap: 6px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 12px;
  border-radius: 10px;
  background: var(--card);
}

.name {
  flex: 1;
  min-width: 180px;
}
</style>
