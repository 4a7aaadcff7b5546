<script setup lang="ts">
import { computed } from 'vue'
import { frameUrl } from '@/api/urls'
import type { FrameView } from '@/api/types'
import { delayText } from '@/parts/format'
import QueuedPicture from '@/parts/QueuedPicture.vue'
import { useReel } from '@/reel/store'
import { usePage } from '@/stage/pages'

/** The page before or after, leaning on the easel. */
const props = defineProps<{ frame: FrameView; number: number; side: 'before' | 'after'; hard: boolean }>()
const emit = defineEmits<{ go: [] }>()
const WIDTH = 320
const store = useReel()
const page = usePage()
const src = computed(() => frameUrl(store.reel?.id ?? '', props.frame.drawn, WIDTH))
const ratio = computed(() => (store.reel ? `${store.reel.canvas.width} / ${store.reel.canvas.height}` : '3 / 2'))
</script>

<template>
  <button
    type="button"
    class="page"
    :class="side"
    :title="`${side === 'before' ? 'Page before (,)' : 'Page after (.)'}`"
    @click="emit('go')"
  >
    <span class="picture" :class="{ hard }" :style="{ aspectRatio: ratio, background: page }"
      ><queued-picture :src="src" class="drawn"
    /></span>
    <span class="foot"
      ><span class="unseen">Page</span><b>{{ number }}</b
      ><span>{{ side }}</span
      ><span>{{ delayText(frame.delayMillis) }}</span></span
    >
  </button>
</template>

<style scoped>
.page {
  width: 100%;
  padding: 8px 8px 4px;
  border-radius: 6px;
  background: var(--card);
  box-shadow: var(--shade);
  outline: 1px solid var(--line);
}

.before {
  transform: rotate(-1.6deg);
}

.after {
  transform: rotate(1.6deg);
}

.page:focus-visible {
  outline: 3px solid color-mix(in srgb, var(--ink) 78%, var(--rein));
}

.picture {
  display: block;
  max-height: 190px;
  margin-inline: auto;
  opacity: 0.6;
}

.page:hover .picture,
.page:focus-visible .picture {
  opacity: 1;
}

.drawn {
  display: block;
  width: 100%;
  height: 100%;
}

.hard .drawn {
  image-rendering: pixelated;
}

.foot {
  display: flex;
  justify-content: space-between;
  padding: 4px 4px 2px;
  color: var(--ink2);
  font-size: 13px;
}

.foot b {
  color: var(--ink);
}
</style>
