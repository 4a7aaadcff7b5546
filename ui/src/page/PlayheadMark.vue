<script setup lang="ts">
import { computed } from 'vue'
import { delayText } from '@/parts/format'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'

/** The line that runs along the rhythm bar; apart from the bar, since it moves with every repaint. */
const props = defineProps<{ scale: number }>()
const store = useReel()
const playhead = usePlayhead()
const at = computed(() => playhead.millis * props.scale)
const nearEnd = computed(() => playhead.total > 0 && playhead.millis / playhead.total > 0.9)

function onKey(event: KeyboardEvent): void {
  const by = event.shiftKey ? 10 : 1
  const run = {
    ArrowLeft: () => playhead.step(-by),
    ArrowDown: () => playhead.step(-by),
    ArrowRight: () => playhead.step(by),
    ArrowUp: () => playhead.step(by),
  }[event.key]
  if (run && !event.altKey && !event.ctrlKey) {
    event.preventDefault()
    run()
  }
}
</script>

<template>
  <div
    class="playhead"
    role="slider"
    tabindex="0"
    aria-label="Playhead"
    aria-valuemin="1"
    :aria-valuemax="Math.max(1, store.frames.length)"
    :aria-valuenow="playhead.index + 1"
    :aria-valuetext="`Frame ${playhead.index + 1} of ${store.frames.length}, ${delayText(playhead.frame?.delayMillis ?? 0)}`"
    :style="{ transform: `translateX(${at}px)` }"
    @keydown="onKey"
  >
    <span class="flag" :class="{ left: nearEnd }">{{ playhead.index + 1 }}</span>
  </div>
</template>

<style scoped>
.playhead {
  position: absolute;
  top: -4px;
  bottom: -4px;
  left: 0;
  width: 2px;
  margin-left: -1px;
  background: var(--ink);
  pointer-events: none;
}

.flag {
  position: absolute;
  top: -2px;
  left: 0;
  padding: 0 6px;
  border-radius: 0 4px 4px 0;
  background: var(--ink);
  color: var(--card);
  font-size: 11px;
  font-weight: 650;
  line-height: 16px;
}

.flag.left {
  right: 0;
  left: auto;
  border-radius: 4px 0 0 4px;
}
</style>
