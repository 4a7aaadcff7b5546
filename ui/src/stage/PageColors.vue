<script setup lang="ts">
import { computed } from 'vue'
import { vRadios } from '@/parts/radios'
import { PAGES, usePage } from './pages'

/** Chooses the page behind a file. */
const page = usePage()
const own = computed(() => !PAGES.some(({ color }) => color === page.value))
</script>

<template>
  <div v-radios class="pages" role="radiogroup" aria-label="Page behind">
    <button
      v-for="each in PAGES"
      :key="each.name"
      type="button"
      role="radio"
      :aria-checked="page === each.color"
      :aria-label="each.name"
      :title="each.name"
      :style="{ background: each.color }"
      @click="page = each.color"
    />
    <input
      v-model="page"
      type="color"
      class="own"
      :class="{ chosen: own }"
      aria-label="Page of any color"
      title="Page of any color"
    />
  </div>
</template>

<style scoped>
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

.pages button {
  width: 26px;
  height: 26px;
  border: 1px solid var(--edge);
  border-radius: 50%;
}

.pages [aria-checked='true'],
.own.chosen {
  box-shadow:
    0 0 0 2px var(--paper),
    0 0 0 4px var(--rein);
}
</style>
