<script setup lang="ts">
import { mdiCheckBold } from '@mdi/js'
import { computed } from 'vue'
import type { FrameView, Size } from '@/api/types'
import { frameUrl } from '@/api/urls'
import { delayText } from '@/parts/format'
import QueuedPicture from '@/parts/QueuedPicture.vue'
import { usePlayhead } from '@/reel/playhead'
import { tagsFor } from './cardTags'

const PICTURE_WIDTH = 240

const props = defineProps<{
  frame: FrameView
  index: number
  reel: string
  canvas: Size
  pictureHeight: number
  selected: boolean
  /** Being dragged, or cut. */
  lifted: boolean
}>()

const playhead = usePlayhead()
const showing = computed(() => playhead.index === props.index)
const tags = computed(() => tagsFor(props.frame, props.canvas))
</script>

<template>
  <div
    class="card"
    role="option"
    :data-frame="frame.id"
    :aria-selected="selected"
    :class="{ selected, showing, lifted, out: frame.leftOut }"
  >
    <div class="picture checker" :style="{ height: `${pictureHeight}px` }">
      <queued-picture :src="frameUrl(reel, frame.drawn, PICTURE_WIDTH)" :title="frame.name" />
      <svg v-if="selected" class="tick" viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiCheckBold" /></svg>
      <span v-if="tags.length" class="tags">
        <span v-for="tag in tags.slice(0, 2)" :key="tag.text" class="tag" :class="tag.tone" :title="tag.why">{{
          tag.text
        }}</span>
      </span>
    </div>
    <!-- Read out as one sentence: Frame 3, 100 ms, Tide 3.png. -->
    <div class="facts">
      <b><span class="unseen">Frame </span>{{ index + 1 }}<span class="unseen">, </span></b>
      <span
        >{{ delayText(frame.delayMillis) }}<span class="unseen">, {{ frame.name }}</span></span
      >
    </div>
  </div>
</template>

<style scoped>
.card {
  position: absolute;
  padding: 6px 6px 0;
  border-radius: var(--round);
  background: var(--card);
  box-shadow: var(--shade);
  cursor: grab;
  user-select: none;
  touch-action: pan-y;
}

.card:not(.selected):hover {
  box-shadow:
    var(--shade),
    0 0 0 1px var(--edge);
}

.card:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}

.selected {
  background: var(--rein-soft);
  box-shadow: 0 0 0 2px var(--rein);
}

.lifted {
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
  object-fit: contain;
}

.out img {
  opacity: 0.3;
}

.out .facts span {
  text-decoration: line-through;
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

.tags {
  position: absolute;
  inset: auto auto 4px 4px;
  display: grid;
  justify-items: start;
  gap: 2px;
}

.tag {
  padding: 0 6px;
  border-radius: 5px;
  background: var(--card);
  color: var(--ink2);
  font-size: 11.5px;
  font-weight: 550;
  line-height: 17px;
  white-space: nowrap;
}

.tag.warn {
  background: var(--warn-soft);
  color: var(--warn);
}

.facts {
  display: flex;
  justify-content: space-between;
  padding: 4px 4px 0;
  font-size: 13px;
}

.facts > span {
  color: var(--ink2);
}

.showing .facts b {
  padding: 0 7px;
  margin-left: -4px;
  border-radius: 8px;
  background: var(--ink);
  color: var(--card);
}
</style>
