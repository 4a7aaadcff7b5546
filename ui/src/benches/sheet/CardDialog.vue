<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Card } from '@/api/types'
import { drawnPicture } from '@/api/client'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { ALIGNS, TYPEFACES } from '@/parts/lettering'
import NumberField from '@/parts/NumberField.vue'
import { useArranging } from '@/reel/arranging'
import { useAsking, useDialogShown } from '@/reel/asking'
import { useDraft } from '@/reel/draft'
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
const shown = useDialogShown('card')

const card = ref<Card>(blankCard())
const delayMillis = ref(LONG_ENOUGH_TO_READ)
const preview = useDraft(
  () => (shown.value ? { content: card.value, canvas: store.reel!.canvas } : null),
  (draft) => drawnPicture(store.reel!.id, draft, PREVIEW_WIDTH),
)

function blankCard(): Card {
  const size = Math.max(4, Math.round((store.reel?.canvas.height ?? 320) * FIRST_SIZE_SHARE))
  return { kind: 'card', background: '1e2a32', text: '', typeface: 'PLAIN', size, color: 'f6f1e7', align: 'CENTER' }
}

watch(shown, (open) => {
  const first = selection.frames[0]?.content
  if (open) {
    card.value = asking.cardsToChange && first?.kind === 'card' ? { ...first } : blankCard()
  }
})

function done(): void {
  asking.close()
  void (asking.cardsToChange ? arranging.changeCard({ ...card.value }) : arranging.addCard({ ...card.value }, delayMillis.value))
}
</script>

<template>
  <dialog-card v-model="shown" :title="asking.cardsToChange ? `Change ${asking.which}` : 'New card'"
    :verb="asking.cardsToChange ? 'Change' : 'Add'" :width="820" @done="done">
    <div class="sides">
      <div class="settings">
        <v-textarea v-model="card.text" label="Words, or none for a blank frame" rows="3" maxlength="500" variant="outlined"
          density="compact" hide-details autofocus />
        <div class="row">
          <v-select v-model="card.typeface" :items="TYPEFACES" label="Typeface" variant="outlined" density="compact"
            hide-details />
          <number-field :value="card.size" label="Size" labelled suffix="px" :min="4" :max="2000" class="size"
            @done="(size) => (card.size = size)" />
        </div>
        <v-btn-toggle v-model="card.align" mandatory density="compact" variant="outlined" divided aria-label="Alignment">
          <v-btn v-for="{ value, title } in ALIGNS" :key="value" :value="value" size="small">{{ title }}</v-btn>
        </v-btn-toggle>
        <div class="row">
          <color-field v-model="card.color" label="Letters" />
          <color-field v-model="card.background" label="Background" none="None" />
        </div>
        <number-field v-if="!asking.cardsToChange" :value="delayMillis" label="Show it for" labelled suffix="ms" :min="10"
          :max="600000" :step="100" @done="(millis) => (delayMillis = millis)" />
      </div>
      <div class="preview checker"><img v-if="preview" :src="preview" alt="The card as it will look" /></div>
    </div>
  </dialog-card>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 24px;
}

.settings {
  display: grid;
  align-content: start;
  gap: 14px;
}

.row {
  display: flex;
  align-items: flex-start;
  gap: 12px;
}

.size {
  max-width: 120px;
}

.preview {
  align-self: start;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
}

img {
  display: block;
  width: 100%;
}
</style>
