<script setup lang="ts">
import { mdiPause, mdiPlay, mdiReplay } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Size } from '@/api/types'
import FirstFrame from './FirstFrame.vue'

/** A file as it is: the one that would be delivered now, or one that was. */
export interface ShownFile {
  url: string
  title: string
  size: Size
  facts: string
}

/** Real files in the real browser, at their real size, on the page colors they may live on. */
const props = defineProps<{
  files: ShownFile[]
  empty: boolean
  /** Why the file cannot be made, or empty. */
  problem: string
}>()

const PAGES = [
  { name: 'White page', color: '#ffffff' },
  { name: 'Oat page', color: '#f6f1e7' },
  { name: 'Gray page', color: '#8b9196' },
  { name: 'Black page', color: '#101214' },
  { name: 'Sea page', color: '#2b6f86' },
]
const page = useLocalStorage('dobbin.page', PAGES[0]!.color)
const own = computed(() => !PAGES.some(({ color }) => color === page.value))
const playing = ref(!matchMedia('(prefers-reduced-motion: reduce)').matches)
const round = ref(0)
/** An address of its own for each round makes the browser play the file from its start. */
const urlOf = ({ url }: ShownFile): string => (round.value > 0 ? `${url}?round=${round.value}` : url)
const state = computed(() => props.problem || (props.empty ? 'No frames yet' : 'The file is being made…'))

function play(): void {
  playing.value = true
  round.value++
}
</script>

<template>
  <section class="stage" aria-label="The file">
    <div class="head">
      <div>
        <h2>{{ files[0]?.title ?? 'The file' }}</h2>
        <p class="quiet">{{ files[0]?.facts ?? state }}</p>
      </div>
      <div class="pages" role="radiogroup" aria-label="Page behind the file">
        <button v-for="each in PAGES" :key="each.name" type="button" role="radio" :aria-checked="page === each.color"
          :aria-label="each.name" :title="each.name" :style="{ background: each.color }" @click="page = each.color" />
        <input v-model="page" type="color" class="own" :class="{ chosen: own }" aria-label="Page of any color" title="Page of any color" />
      </div>
      <v-btn v-if="playing" size="small" :prepend-icon="mdiPause" :disabled="files.length === 0"
        title="Show the first frame, still" @click="playing = false">Pause</v-btn>
      <v-btn size="small" :prepend-icon="playing ? mdiReplay : mdiPlay" :disabled="files.length === 0"
        title="Play the file from its start" @click="play">{{ playing ? 'Again' : 'Play' }}</v-btn>
    </div>
    <div class="page" :style="{ background: page }" tabindex="0" role="group" aria-label="Page with the file">
      <figure v-for="file in files" :key="file.title">
        <img v-if="playing" :key="urlOf(file)" :src="urlOf(file)" :width="file.size.width" :height="file.size.height" :alt="file.title" />
        <first-frame v-else :src="file.url" :width="file.size.width" :height="file.size.height" :alt="file.title" />
        <figcaption v-if="files.length > 1">{{ file.title }} · {{ file.facts }}</figcaption>
      </figure>
      <v-progress-circular v-if="files.length === 0 && !empty && !problem" indeterminate aria-label="The file is being made" />
    </div>
  </section>
</template>

<style scoped>
.stage {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 10px;
  min-width: 0;
  min-height: 0;
  padding: 14px 20px 20px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.head > div:first-child {
  flex: 1;
  min-width: 160px;
}

h2 {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

p {
  margin: 0;
  font-size: 14px;
}

.pages {
  display: flex;
  align-items: center;
  gap: 8px;
}

.own {
  width: 30px;
  height: 26px;
  padding: 0;
  border: 1px solid var(--edge);
  border-radius: 13px;
  cursor: pointer;
}

figure {
  display: grid;
  gap: 6px;
  margin: 0;
}

figcaption {
  justify-self: start;
  padding: 2px 10px;
  border-radius: 12px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
}

.pages button {
  width: 26px;
  height: 26px;
  border: 1px solid var(--edge);
  border-radius: 50%;
}

.pages [aria-checked='true'] {
  box-shadow: 0 0 0 2px var(--paper), 0 0 0 4px var(--rein);
}

.page {
  display: flex;
  flex-wrap: wrap;
  align-items: safe center;
  justify-content: safe center;
  gap: 20px;
  overflow: auto;
  padding: 16px;
  border: 1px solid var(--line);
  border-radius: 14px;
}
</style>
