<script setup lang="ts">
import { computed } from 'vue'
import DropMenu from '@/parts/DropMenu.vue'
import { useReel } from '@/reel/store'
import { useCells } from './cells'
import { letterOf } from './exposure'
import { useMoving } from './moving'

/** What can be done with the chosen cells. */
const store = useReel()
const moving = useMoving()
const cells = useCells()

const words = computed(() => {
  const all = cells.cells.length
  const set = cells.keyed.length
  return all === 0 ? 'No cells' : `${all === 1 ? '1 cell' : `${all} cells`}, ${set === 1 ? '1 pose' : `${set} poses`}`
})
const rows = computed(() => cells.cells.map(({ frame }) => store.ids.indexOf(frame)))
const first = computed(() => store.ids[Math.min(...rows.value)] ?? 0)
const last = computed(() => store.ids[Math.max(...rows.value)] ?? 0)
const chosenOf = computed(() => [...new Set(cells.cells.map(({ cutout }) => cutout))])

/** Whether all chosen cells are empty. */
const allAway = computed(
  () =>
    cells.cells.length > 0 &&
    cells.cells.every(({ cutout, frame }) => moving.cutouts.find((each) => each.id === cutout)?.away.includes(frame)),
)
/** The cycle the chosen cells are of, if it is one whose pictures frames keep. */
const cycle = computed(() => {
  const art =
    chosenOf.value.length === 1 ? moving.cutouts.find((each) => each.id === chosenOf.value[0])?.art : undefined
  return art?.kind === 'cycle' && art.turns === 'KEPT' && art.pictures.length > 1 ? art : null
})

function show(): void {
  void store.dispatch({ type: 'showCutouts', cells: cells.cells, there: allAway.value })
}

function choose(picture: number): void {
  void store.dispatch({ type: 'chooseTurns', cells: cells.cells, picture })
}

function glide(): void {
  void store.dispatch({
    type: 'glideAgain',
    cutouts: chosenOf.value,
    firstFrame: first.value,
    lastFrame: last.value,
    leaves: 'EVEN',
  })
}
</script>

<template>
  <div v-if="moving.cutouts.length > 0" class="bar" role="toolbar" aria-label="Chosen cells">
    <span class="words quiet">{{ words }}</span>
    <v-btn
      size="small"
      :disabled="cells.cells.length === cells.keyed.length"
      title="Set a pose where it is now, so that it stays there when other poses change (Enter)"
      @click="cells.setPoses"
      >Set a pose</v-btn
    >
    <v-btn
      size="small"
      :disabled="first === last || cells.cells.length < 2"
      title="One linear glide from the first chosen cell to the last; the poses between go"
      @click="glide"
      >Glide</v-btn
    >
    <v-btn
      size="small"
      :disabled="cells.keyed.length < 3"
      title="Put the poses at equal distances in time"
      @click="cells.spread"
      >Space evenly</v-btn
    >
    <v-btn
      size="small"
      :disabled="cells.cells.length === 0"
      :title="allAway ? 'Show it on these frames' : 'Hide it on these frames; its poses stay'"
      @click="show"
      >{{ allAway ? 'Show' : 'Hide' }}</v-btn
    >
    <drop-menu v-if="cycle && cells.cells.length > 0">
      <template #activator="{ props: activator }">
        <v-btn v-bind="activator" size="small" title="Which picture of its cycle it shows here">Picture</v-btn>
      </template>
      <v-list density="compact" aria-label="Pictures of the cycle">
        <v-list-item
          v-for="(_, index) in cycle.pictures"
          :key="index"
          :title="`Picture ${letterOf(index)}`"
          @click="choose(index)"
        />
      </v-list>
    </drop-menu>
    <v-btn
      size="small"
      color="primary"
      :disabled="cells.keyed.length === 0"
      title="Remove the poses (Delete)"
      @click="cells.remove"
      >Remove</v-btn
    >
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  min-width: 0;
}

.bar :deep(.v-btn) {
  min-width: 0;
  padding: 0 6px;
}

.words {
  flex: 1 0 100%;
  padding-top: 4px;
  font-size: 13px;
  line-height: 1.3;
}
</style>
