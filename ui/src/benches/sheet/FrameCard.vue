<script setup lang="ts">
import { mdiCheckBold } from '@mdi/js'
import { computed } from 'vue'
import type { FrameView, Size } from '@/api/types'
import { frameUrl } from '@/api/urls'
import { delayText } from '@/parts/format'
import { usePlayhead } from '@/reel/playhead'

const CARD_WIDTH = 240

const props = defineProps<{
  frame: FrameView
  index: number
  reel: string
  canvas: Size
  selected: boolean
  dragged: boolean
}>()

const playhead = usePlayhead()
const showing = computed(() => playhead.index === props.index)
/** With spaces that do not break. */
const size = computed(() => `${props.frame.size.width}\u00a0×\u00a0${props.frame.size.height}`)
/** What is worth a word: another size, or a delay that will not be what it says. */
const notice = computed(() => {
  const { frame, canvas } = props
  if (frame.otherSize) {
    return {
      text: `other size: ${size.value}`,
      why: `The canvas is ${canvas.width} × ${canvas.height}; the still is fitted inside.`,
      plain: false,
    }
  }
  if (frame.shownMillis !== frame.fileMillis) {
    return {
      text: `plays as ${delayText(frame.shownMillis)}`,
      why: 'Browsers take delays under 20 ms for a mistake and play them at 100 ms.',
      plain: false,
    }
  }
  return frame.fileMillis === frame.delayMillis
    ? null
    : {
        text: `${delayText(frame.fileMillis)} in the file`,
        why: 'A GIF counts in hundredths of a second; the loop’s total stays true.',
        plain: true,
      }
})
</script>

<template>
  <div class="card" role="option" :data-frame="frame.id" :aria-selected="selected"
    :class="{ selected, showing, dragged }">
    <div class="picture checker" :style="{ aspectRatio: `${canvas.width} / ${canvas.height}` }">
      <img :src="frameUrl(reel, frame.drawn, CARD_WIDTH)" alt="" loading="lazy" draggable="false" :title="frame.name" />
      <svg v-if="selected" class="tick" viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiCheckBold" /></svg>
    </div>
    <!-- Read out as one sentence: Frame 3, 100 ms, Tide 3.png. -->
    <div class="facts">
      <b><span class="unseen">Frame </span>{{ index + 1 }}<span class="unseen">, </span></b>
      <span>{{ delayText(frame.delayMillis) }}<span class="unseen">, {{ frame.name }}</span></span>
    </div>
    <div v-if="notice" class="notice" :class="{ plain: notice.plain }" :title="notice.why">{{ notice.text }}</div>
  </div>
</template>

<style scoped>
.card {
  align-self: start;
  padding: 6px;
  border-radius: var(--round);
  background: var(--card);
  box-shadow: var(--shade);
  content-visibility: auto;
  contain-intrinsic-size: auto 150px auto 124px;
  cursor: grab;
  user-select: none;
  touch-action: pan-y;
}

.card:hover {
  box-shadow: var(--shade), 0 0 0 1px var(--edge);
}

.card:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}

.selected {
  background: var(--rein-soft);
  box-shadow: 0 0 0 2px var(--rein);
}

.dragged {
  opacity: 0.45;
}

.picture {
  position: relative;
  overflow: hidden;
  border-radius: 6px;
}

img {
  display: block;
  width: 100%;
  height: 100%;
}

.tick {
  position: absolute;
  top: 5px;
  right: 5px;
  width: 20px;
  padding: 3px;
  border-radius: 50%;
  background: var(--rein);
  fill: var(--on-rein);
}

.facts {
  display: flex;
  justify-content: space-between;
  padding: 4px 4px 0;
  font-size: 13px;
}

.facts span {
  color: var(--ink2);
}

.showing .facts b {
  padding: 0 7px;
  margin-left: -4px;
  border-radius: 8px;
  background: var(--ink);
  color: var(--card);
}

.notice {
  margin: 3px 0 0;
  padding: 1px 6px;
  border-radius: 6px;
  background: var(--warn-soft);
  color: var(--warn);
  font-size: 11.5px;
  font-weight: 550;
  line-height: 1.3;
}

.plain {
  background: var(--sunk);
  color: var(--ink2);
}
</style>
