<script setup lang="ts">
import { mdiHistory, mdiRedo, mdiUndo } from '@mdi/js'
import Brand from '@/parts/Brand.vue'
import PageTools from '@/parts/PageTools.vue'
import type { Bench } from '@/ground/bench'
import { historyShown } from '@/reel/history'
import ReelName from './ReelName.vue'
import { useReel } from '@/reel/store'
import Weight from './Weight.vue'

/** Where one is, the benches, undo, and the weight. */
defineProps<{ benches: readonly Bench[] }>()
const store = useReel()
</script>

<template>
  <header class="header">
    <div class="where">
      <brand />
      <router-link to="/" class="shelf">Shelf</router-link>
      <span class="quiet" aria-hidden="true">/</span>
      <reel-name v-if="store.reel" />
    </div>
    <nav v-if="store.reel" aria-label="Benches" class="benches">
      <router-link
        v-for="bench in benches"
        :key="bench.name"
        :to="{ name: bench.name, params: { id: store.reel.id } }"
        class="bench-link"
        >{{ bench.label }}</router-link
      >
    </nav>
    <div v-if="store.reel" class="doing">
      <v-btn
        :prepend-icon="mdiUndo"
        size="small"
        class="change"
        aria-label="Undo"
        :disabled="!store.reel.undo"
        :title="store.reel.undo ? `Undo: ${store.reel.undo} (Ctrl + Z)` : 'Nothing to undo'"
        @click="store.undo"
        >Undo</v-btn
      >
      <v-btn
        :prepend-icon="mdiRedo"
        size="small"
        class="change"
        aria-label="Redo"
        :disabled="!store.reel.redo"
        :title="store.reel.redo ? `Redo: ${store.reel.redo} (Ctrl + Shift + Z)` : 'Nothing to redo'"
        @click="store.redo"
        >Redo</v-btn
      >
      <v-btn :icon="mdiHistory" size="small" aria-label="History" title="History" @click="historyShown = true" />
      <page-tools />
      <div class="weight-place">
        <weight />
      </div>
    </div>
  </header>
</template>

<style scoped>
.header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr);
  align-items: stretch;
  gap: 12px;
  min-height: 56px;
  padding: 0 20px;
  background: var(--card);
  border-bottom: 1px solid var(--line);
}

.where,
.doing {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
}

.doing {
  justify-content: flex-end;
  gap: 2px;
}

.shelf {
  margin-left: 10px;
  color: var(--ink2);
  text-decoration: none;
}

.shelf:hover {
  color: var(--ink);
  text-decoration: underline;
}

.benches {
  display: flex;
}

.bench-link {
  display: flex;
  align-items: center;
  padding: 3px 18px 0;
  border-bottom: 3px solid transparent;
  color: var(--ink2);
  font-weight: 550;
  text-decoration: none;
}

.bench-link:focus-visible {
  outline-offset: -4px;
}

.bench-link:hover {
  color: var(--ink);
}

.bench-link.router-link-active {
  border-bottom-color: var(--rein);
  color: var(--ink);
  font-weight: 700;
}

@media (max-width: 1320px) {
  .header {
    grid-template-columns: minmax(0, 1fr) auto auto;
  }

  .bench-link {
    padding-inline: 15px;
  }
}

@media (max-width: 1180px) {
  .header {
    gap: 6px;
    padding: 0 12px;
  }

  .bench-link {
    padding-inline: 12px;
  }

  .change {
    min-width: 36px;
    padding: 0;
  }

  .change :deep(.v-btn__content) {
    display: none;
  }

  .change :deep(.v-btn__prepend) {
    margin: 0;
    font-size: 18px;
  }
}

@media (max-width: 760px) {
  .header {
    position: relative;
    grid-template-columns: auto minmax(0, 1fr);
    grid-template-rows: 44px 42px;
    gap: 0;
  }

  .where {
    grid-column: 1 / -1;
    padding-right: 118px;
  }

  .shelf {
    margin-left: 2px;
  }

  .bench-link {
    padding-inline: 4px;
    font-size: 14px;
  }

  .change {
    min-width: 32px;
  }

  .weight-place {
    position: absolute;
    top: 0;
    right: 8px;
  }
}
</style>
