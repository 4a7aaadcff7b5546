<script setup lang="ts">
import type { Still } from '@/api/types'
import { plateUrl } from '@/api/urls'
import type { usePlate } from './plate'

/** The plate, with a box around each part that becomes a frame; a press leaves it out or takes it in. */
defineProps<{ plate: ReturnType<typeof usePlate>; still: Still }>()

const share = (part: number, whole: number): string => `${(100 * part) / whole}%`
</script>

<template>
  <div class="room" :aria-busy="plate.busy.value">
    <div
      class="picture checker"
      :style="{
        aspectRatio: `${still.size.width} / ${still.size.height}`,
        '--ratio': still.size.width / still.size.height,
      }"
    >
      <img :src="plateUrl(still.picture)" :alt="still.name" draggable="false" />
      <span
        v-for="part in plate.parts.value"
        :key="part.key"
        class="part"
        :class="{ out: !part.taken }"
        aria-hidden="true"
        :style="{
          left: share(part.x, still.size.width),
          top: share(part.y, still.size.height),
          width: share(part.width, still.size.width),
          height: share(part.height, still.size.height),
        }"
        @click="plate.toggle(part.key)"
      >
        <b v-if="part.taken">{{ plate.taken.value.indexOf(part) + 1 }}</b>
      </span>
    </div>
    <v-progress-linear
      v-if="plate.busy.value"
      indeterminate
      color="success"
      class="busy"
      aria-label="Looking for drawings"
    />
  </div>
</template>

<style scoped>
.room {
  position: relative;
  display: grid;
  place-items: center;
  height: min(440px, 52vh);
  overflow: hidden;
  border-radius: var(--round);
  background: var(--sunk);
}

.picture {
  position: relative;
  width: min(100%, calc(min(440px, 52vh) * var(--ratio)));
}

img {
  display: block;
  width: 100%;
  height: 100%;
}

.busy {
  position: absolute;
  inset: auto 0 0;
}

.part {
  position: absolute;
  border: 2px solid var(--rein);
  box-shadow:
    0 0 0 1px #fff9,
    inset 0 0 0 1px #fff9;
  cursor: pointer;
}

.part.out {
  border-style: dashed;
  border-color: var(--edge);
  background: #fff8;
}

.part b {
  position: absolute;
  top: 0;
  left: 0;
  padding: 0 5px;
  background: var(--rein);
  color: var(--on-rein);
  font-size: 12px;
  line-height: 17px;
}
</style>
