<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import type { Card } from '@/api/types'
import { drawnPicture } from '@/api/client'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { NO_FILE } from '@/parts/lettering'
import NumberField from '@/parts/NumberField.vue'
import { useArranging } from './arranging'
import { useAsking } from './asking'
import { useDraft } from '@/reel/draft'
import LetteringFields from '@/reel/LetteringFields.vue'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'

/** A card: a color with words on it, or without. */
const PREVIEW_WIDTH = 480
const FIRST_SIZE_SHARE = 0.13
const LONG_ENOUGH_TO_READ = 1500

const store = useReel()
const selection = useSelection()
const asking = useAsking()
const arranging = useArranging()
const shown = asking.isShown('card')

const card = ref<Card>(blankCard())
const delayMillis = ref(LONG_ENOUGH_TO_READ)
/** Lines with words in them; each can be a card of its own. */
const lines = computed(() => card.value.text.split('\n').filter((line) => line.trim() !== ''))
const eachLine = ref(false)
const texts = computed(() => (eachLine.value && lines.value.length > 1 ? lines.value : [card.value.text]))
const preview = useDraft(
  () => (shown.value ? { content: { ...card.value, text: texts.value[0] ?? '' }, canvas: store.reel!.canvas } : null),
  (draft) => drawnPicture(store.reel!.id, draft, PREVIEW_WIDTH),
)

function blankCard(): Card {
  const size = Math.max(4, Math.round((store.reel?.canvas.height ?? 320) * FIRST_SIZE_SHARE))
  return {
    kind: 'card',
    background: '1e2a32',
    text: '',
    typeface: 'PLAIN',
    own: NO_FILE,
    size,
    color: 'f6f1e7',
    align: 'CENTER',
  }
}

watch(shown, (open) => {
  const first = selection.frames[0]?.content
  if (open) {
    eachLine.value = false
    card.value = asking.cardsToChange && first?.kind === 'card' ? { ...first } : blankCard()
  }
})

function done(): Promise<boolean> {
  const cards = texts.value.map((text) => ({ ...card.value, text }))
  return asking.cardsToChange ? arranging.changeCard({ ...card.value }) : arranging.addCards(cards, delayMillis.value)
}
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="asking.cardsToChange ? `Change ${asking.which}` : 'New card'"
    :verb="asking.cardsToChange ? 'Change' : 'Add'"
    :width="820"
    :done="done"
  >
    <div class="sides">
      <div class="settings">
        <lettering-fields v-model="card" label="Words, or none for a blank frame" />
        <v-checkbox
          v-if="!asking.cardsToChange && lines.length > 1"
          v-model="eachLine"
          :label="`One card for each line: ${lines.length} cards`"
          density="compact"
          hide-details
        />
        <div class="row">
          <color-field v-model="card.color" label="Letters" />
          <color-field v-model="card.background" label="Background" none="None" />
        </div>
        <number-field
          v-if="!asking.cardsToChange"
          :value="delayMillis"
          label="Show it for"
          labelled
          suffix="ms"
          v-bind="limits.AddCard.delayMillis"
          :step="100"
          @done="(millis) => (delayMillis = millis)"
        />
      </div>
      <div class="preview checker"><img v-if="preview" :src="preview" alt="The card as it will look" /></div>
    </div>
  </dialog-card>
</template>

<style scoped src="@/parts/two-sides.css"></style>
