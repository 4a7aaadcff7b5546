<script setup lang="ts">
import { mdiReplay } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Size } from '@/api/types'

/** The real file in the real browser, at its real size, on the page colors it may live on. */
const props = defineProps<{
  file: { url: string; title: string; size: Size; facts: string } | null
  empty: boolean
  /** Why it cannot be made. */
  problem: string | null
}>()

const PAGES = [
  { name: 'White page', color: '#ffffff' },
  { name: 'Oat page', color: '#f6f1e7' },
  { name: 'Gray page', color: '#8b9196' },
  { name: 'Black page', color: '#101214' },
  { name: 'Sea page', color: '#2b6f86' },
]
const page = ref(PAGES[0]!.color)
const round = ref(0)
/** An address of its own for each round makes the browser play the file from its start. */
const url = computed(() => (props.file && round.value > 0 ? `${props.file.url}?round=${round.value}` : props.file?.url))
</script>

<template>
  <section class="stage" aria-label="The file">
    <div class="head">
      <div>
        <h2>{{ file?.title ?? 'The file' }}</h2>
        <p class="quiet">{{ file?.facts ?? (problem ?? (empty ? 'No frames yet' : 'Being made…')) }}</p>
      </div>
      <div class="pages" role="radiogroup" aria-label="Page behind the file">
        <button v-for="each in PAGES" :key="each.name" type="button" role="radio" :aria-checked="page === each.color"
          :aria-label="each.name" :title="each.name" :style="{ background: each.color }" @click="page = each.color" />
      </div>
      <v-btn size="small" :prepend-icon="mdiReplay" :disabled="!file" title="Play the file from its start"
        @click="round++">Again</v-btn>
    </div>
    <div class="page" :style="{ background: page }">
      <img v-if="file" :key="url" :src="url" :width="file.size.width" :height="file.size.height" :alt="file.title" />
      <v-progress-circular v-else-if="!empty && !problem" indeterminate aria-label="Being made" />
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
  gap: 8px;
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
  display: grid;
  place-items: safe center;
  overflow: auto;
  padding: 16px;
  border: 1px solid var(--line);
  border-radius: 14px;
}
</style>
