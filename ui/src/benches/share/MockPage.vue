<script setup lang="ts">
import { computed } from 'vue'
import type { Place } from './places'

/** A page as it may be elsewhere, with the loop in it: its size, its edges and its pace are seen among other things. */
const props = defineProps<{
  place: Exclude<Place, 'plain' | 'picture'>
  /** The color of the page, six hexadecimal digits after a number sign. */
  background: string
}>()
const DARKEST_PAGE_FOR_DARK_TEXT = 140
const TILES = [1, 2, 3, 4, 5]

/** What can be read on it. */
const ink = computed(() => {
  const [r = 255, g = 255, b = 255] = [1, 3, 5].map((at) => Number.parseInt(props.background.slice(at, at + 2), 16))
  return 0.3 * r + 0.6 * g + 0.1 * b > DARKEST_PAGE_FOR_DARK_TEXT ? '#1c1c1c' : '#f2f2f2'
})
</script>

<template>
  <article v-if="place === 'article'" class="article" :style="{ color: ink }">
    <h3>The light at Skerry Point</h3>
    <p>
      The lamp was first lit in the autumn of a year nobody wrote down. Since then it has been seen from every boat that
      comes home late.
    </p>
    <slot />
    <p>
      On clear evenings the beam reaches the far side of the sound. On others, the bell is rung instead, once for each
      turn of the lamp.
    </p>
    <p>The ferry still takes its bearing from it, though there are easier ways by now.</p>
  </article>
  <div v-else-if="place === 'thread'" class="thread">
    <p class="bubble">Is the six o’clock ferry running?</p>
    <p class="bubble mine">It is. Look what came by on the way:</p>
    <div class="bubble mine picture"><slot /></div>
    <p class="bubble">Oh! Send that one on.</p>
  </div>
  <div v-else class="tiles">
    <span class="tile one" />
    <div class="tile"><slot /></div>
    <span v-for="tile in TILES" :key="tile" class="tile" :class="`shade-${tile}`" />
  </div>
</template>

<style scoped>
.article {
  max-width: 640px;
  margin: auto;
  font:
    17px/1.55 Georgia,
    serif;
}

.article h3 {
  margin: 0 0 10px;
  font:
    700 26px/1.25 Georgia,
    serif;
}

.article p {
  margin: 12px 0;
}

.thread {
  display: grid;
  justify-items: start;
  gap: 8px;
  width: min(380px, 100%);
  margin: auto;
}

.bubble {
  max-width: 85%;
  margin: 0;
  padding: 8px 14px;
  border-radius: 16px;
  background: #e4e2dc;
  color: #1c1c1c;
  font-size: 15px;
}

.mine {
  justify-self: end;
  background: #cfe3ea;
}

.picture {
  overflow: hidden;
  padding: 0;
  background: none;
}

.tiles {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
  align-self: start;
  width: min(720px, 100%);
  margin: auto;
}

.tile {
  display: grid;
  place-items: center;
  overflow: hidden;
  aspect-ratio: 1;
  border-radius: 4px;
}

.one {
  background: linear-gradient(#2b3a55, #c9826b);
}

.shade-1 {
  background: linear-gradient(#9cc3e0, #e8dcc0);
}

.shade-2 {
  background: radial-gradient(circle at 70% 30%, #f2e2b0 0 18%, #35586b 19%);
}

.shade-3 {
  background: linear-gradient(160deg, #4f6a2c 50%, #d8cfae 50%);
}

.shade-4 {
  background: linear-gradient(#13202c, #2f6073);
}

.shade-5 {
  background: repeating-linear-gradient(#b23e28 0 16px, #f4ddd5 16px 32px);
}

:slotted(*) {
  max-width: 100%;
  height: auto;
}

.tile :slotted(*) {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
</style>
