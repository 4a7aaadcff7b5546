<script setup lang="ts">
import { computed } from 'vue'
import { usePlayhead } from './playhead'

/** The line that runs along the rhythm bar; apart from the bar, since it moves with every repaint. */
const playhead = usePlayhead()
const at = computed(() => (playhead.total > 0 ? (playhead.millis / playhead.total) * 100 : 0))
</script>

<template>
  <div class="playhead" :style="{ left: at + '%' }">
    <span class="flag" :class="{ left: at > 90 }">{{ playhead.index + 1 }}</span>
  </div>
</template>

<style scoped>
.playhead {
  position: absolute;
  top: -4px;
  bottom: -4px;
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
