<script setup lang="ts">
import { mdiChevronDown, mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import DropMenu from '@/parts/DropMenu.vue'
import type { FrameView } from '@/api/types'
import { durationText, framesText } from '@/parts/format'
import { useActions } from './actions'
import { useQuestions } from './questions'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import ActionList from '@/parts/ActionList.vue'
import AddMenu from './AddMenu.vue'

/** What is chosen, in words, and what can be done to it. */
const store = useReel()
const selection = useSelection()
const playhead = usePlayhead()
const questions = useQuestions()
const { main, more } = useActions()

/** As viewers show them, and as the rhythm bar tells it. */
const shownMillis = (frames: FrameView[]): number => frames.reduce((sum, frame) => sum + frame.shownMillis, 0)
const playing = computed(() => store.frames.filter((frame) => !frame.leftOut).length)
const words = computed(() => {
  if (selection.ids.length > 0) {
    return {
      count: `${selection.ids.length} of ${framesText(store.frames.length)}`,
      time: durationText(shownMillis(selection.frames)),
    }
  }
  const all = framesText(store.frames.length)
  const count = playing.value === store.frames.length ? all : `${playing.value} of ${all} play`
  return { count, time: durationText(playhead.total) }
})
const ways = computed(() => [
  { label: 'All', keys: 'Ctrl + A', run: selection.all },
  { label: 'None', keys: 'Escape', run: selection.none },
  { label: 'The others', keys: 'Ctrl + I', run: selection.inverse },
  { label: 'Odd frames', run: () => selection.everyNth(2, 0) },
  { label: 'Even frames', run: () => selection.everyNth(2, 1) },
  { label: 'Every n-th from here…', run: questions.everyNth },
  ...(store.reel?.runs ?? []).map((run) => ({
    label: `Run “${run.name}”`,
    keys: undefined,
    run: () => selection.run(run.id),
  })),
])
</script>

<template>
  <div class="bar" role="toolbar" aria-label="Selection">
    <drop-menu>
      <template #activator="{ props: activator }">
        <v-btn
          v-bind="activator"
          :append-icon="mdiChevronDown"
          size="small"
          class="words"
          :disabled="store.frames.length === 0"
          title="Select…"
          :aria-label="`${words.count} · ${words.time}, select`"
        >
          <b>{{ words.count }}</b>&nbsp;<span class="quiet">· {{ words.time }}</span>
        </v-btn>
      </template>
      <v-list density="compact" role="menu" aria-label="Select">
        <v-list-item v-for="way in ways" :key="way.label" role="menuitem" :title="way.label" @click="way.run()">
          <template v-if="way.keys" #append
            ><span class="keys">{{ way.keys }}</span></template
          >
        </v-list-item>
      </v-list>
    </drop-menu>
    <span class="unseen" role="status">{{ words.count }}, {{ words.time }}</span>
    <span class="actions">
      <v-btn
        v-for="action in main"
        :key="action.label"
        size="small"
        :disabled="!action.enabled"
        class="action"
        :color="action.label === 'Remove' ? 'primary' : undefined"
        :title="action.keys ? `${action.label} (${action.keys})` : action.label"
        @click="action.run()"
        >{{ action.label }}</v-btn
      >
      <drop-menu>
        <template #activator="{ props: activator }">
          <v-btn v-bind="activator" :icon="mdiDotsHorizontal" size="small" title="More" aria-label="More to do" />
        </template>
        <action-list :groups="more" label="More to do" />
      </drop-menu>
    </span>
    <add-menu />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  min-height: 52px;
  padding: 8px 20px 8px 12px;
}

.words {
  font-size: 14px !important;
}

.actions {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  align-items: center;
}

.action {
  min-width: 0;
  padding-inline: 8px;
}

@media (max-width: 760px) {
  .words {
    margin-right: auto;
  }

  .actions {
    flex: 1 0 100%;
    order: 3;
  }
}
</style>
