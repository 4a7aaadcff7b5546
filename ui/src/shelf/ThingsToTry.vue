<script setup lang="ts">
import { ref } from 'vue'
import { gatherInto } from '@/gather/gather'
import { canTryClip, filesToTry, tryUrl } from '@/gather/tries'
import type { Try } from '@/gather/tries'
import { sayProblem } from '@/ground/messages'
import { useOpenReel } from '@/ground/navigation'

/** Something to begin with for whoever has no files at hand. */
const THINGS = [
  { kind: 'BURST', label: 'Photos taken by hand', means: 'to be lined up' },
  { kind: 'PLATE', label: 'A plate of drawings', means: 'to be cut into frames' },
  { kind: 'CLIP', label: 'A clip', means: 'to take frames from' },
] as const
const things = THINGS.filter(({ kind }) => kind !== 'CLIP' || canTryClip)
const open = useOpenReel()
const busy = ref<Try | null>(null)

async function tryOne(kind: Try): Promise<void> {
  busy.value = kind
  try {
    await gatherInto(await filesToTry(kind), { open })
  } catch (failure) {
    sayProblem(failure)
  } finally {
    busy.value = null
  }
}
</script>

<template>
  <section aria-label="Things to try">
    <p class="quiet">Nothing at hand? Try it with something of ours:</p>
    <div class="things">
      <button
        v-for="thing in things"
        :key="thing.kind"
        type="button"
        class="thing"
        :disabled="busy !== null"
        :aria-busy="busy === thing.kind"
        @click="tryOne(thing.kind)"
      >
        <img :src="tryUrl(thing.kind, 0)" alt="" />
        <b>{{ thing.label }}</b>
        <span class="quiet">{{ thing.means }}</span>
        <v-progress-linear
          v-if="busy === thing.kind"
          indeterminate
          color="success"
          class="busy"
          aria-label="Making it ready"
        />
      </button>
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 18px;
}

.things {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 300px));
  gap: 18px;
  margin-top: 10px;
}

.thing {
  position: relative;
  display: grid;
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: 14px;
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shade);
  text-align: left;
}

.thing:hover:enabled {
  border-color: var(--edge);
}

img {
  width: 100%;
  height: 160px;
  margin-bottom: 8px;
  border-radius: 8px;
  background: var(--sunk);
  object-fit: cover;
}

.busy {
  position: absolute !important;
  inset: auto 0 0;
}
</style>
