<script setup lang="ts">
import { computed, ref } from 'vue'
import DialogCard from '@/parts/DialogCard.vue'
import { framesText } from '@/parts/format'
import { useArranging } from './arranging'
import { useAsking } from './asking'

/** Plays there and back: with the end poses once or twice. */
const asking = useAsking()
const arranging = useArranging()
const endsTwice = ref(false)
const shown = asking.isShown('thereAndBack')
const count = computed(() => arranging.affected.length)
const added = computed(() => (endsTwice.value ? count.value : Math.max(0, count.value - 2)))

const done = (): Promise<boolean> => arranging.thereAndBack(endsTwice.value)
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="`Play ${asking.which} there and back`"
    verb="There and back"
    :disabled="added < 1"
    :done="done"
  >
    <v-radio-group v-model="endsTwice" hide-details color="primary" aria-label="The poses at the ends">
      <v-radio :value="false" label="Each end pose once: an even swing, as a pendulum" />
      <v-radio :value="true" label="Each end pose twice: it rests a moment as it turns" />
    </v-radio-group>
    <p class="quiet mt-3" role="status">
      {{
        added < 1
          ? 'That needs at least 3 frames.'
          : `${framesText(added)} come after the last: ${framesText(count + added)} there and back.`
      }}
    </p>
  </dialog-card>
</template>
