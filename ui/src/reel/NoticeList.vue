<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import type { Notice } from '@/api/types'
import { usePlayhead } from './playhead'
import { useReel } from './store'
import { useSelection } from './selection'

/** What the server noticed in the loop: each can be looked at, acted on, or dismissed. */
defineProps<{ notices: Notice[] }>()
const store = useReel()
const selection = useSelection()
const playhead = usePlayhead()

/** Chooses the frames it is about; of a better loop, plays them. */
function show(notice: Notice): void {
  selection.of(notice.frames)
  playhead.goTo(store.ids.indexOf(notice.frames[0] as number))
  if (notice.kind === 'BETTER_LOOP') {
    playhead.selectionOnly = true
    playhead.playing = true
  } else {
    playhead.playing = false
  }
}

async function fix(notice: Notice): Promise<void> {
  playhead.selectionOnly = false
  await store.dispatch(notice.fix)
}
</script>

<template>
  <section v-if="notices.length > 0" aria-label="Notices">
    <ul>
      <li v-for="notice in notices" :key="notice.key" :class="{ plain: notice.kind === 'DUPLICATES' }">
        <p>{{ notice.says }}</p>
        <div class="ways">
          <v-btn size="small" variant="outlined" @click="fix(notice)">{{ notice.act }}</v-btn>
          <v-btn v-if="notice.frames.length > 0" size="small" @click="show(notice)">{{
            notice.kind === 'BETTER_LOOP' ? 'Preview' : 'Show'
          }}</v-btn>
          <v-btn
            :icon="mdiClose"
            size="x-small"
            title="Dismiss, and do not say it again"
            :aria-label="`Dismiss: ${notice.says}`"
            @click="store.dispatch({ type: 'dismissNotice', notice: notice.key })"
          />
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 8px 8px 8px 12px;
  border-radius: 10px;
  background: var(--warn-soft);
  font-size: 14px;
}

.plain {
  background: var(--sunk);
}

p {
  margin: 0 0 4px;
}

.ways {
  display: flex;
  align-items: center;
  gap: 4px;
}

.ways > :last-child {
  margin-left: auto;
}
</style>
