<script setup lang="ts">
import { computed } from 'vue'
import { usePlayhead } from '@/reel/playhead'
import { runTone } from '@/reel/runTones'
import { useReel } from '@/reel/store'

/** Named runs as bands along the top of the rhythm bar. */
const props = defineProps<{ scale: number }>()
const store = useReel()
const playhead = usePlayhead()

const bands = computed(() =>
  (store.reel?.runs ?? []).map((run) => {
    const first = store.frames.findIndex((frame) => frame.run === run.id)
    const last = store.frames.findLastIndex((frame) => frame.run === run.id)
    const from = playhead.starts[first] ?? 0
    const to = (playhead.starts[last] ?? 0) + (store.frames[last]?.shownMillis ?? 0)
    return { run, left: from * props.scale, width: (to - from) * props.scale }
  }),
)
</script>

<template>
  <div class="runs" aria-hidden="true">
    <span
      v-for="{ run, left, width } in bands"
      :key="run.id"
      class="run"
      :style="{ left: `${left}px`, width: `${width}px`, ...runTone(run) }"
      >{{ width > 24 ? run.name : '' }}</span
    >
  </div>
</template>

<style scoped>
.runs {
  position: absolute;
  inset: 0 0 auto;
  pointer-events: none;
}

.run {
  position: absolute;
  overflow: hidden;
  height: 13px;
  padding: 0 5px;
  border-radius: 4px;
  background: var(--tone);
  color: var(--on-tone);
  font-size: 10px;
  font-weight: 650;
  line-height: 13px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
