<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { drawnArt } from '@/api/client'
import type { Words } from '@/api/types'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { NO_FILE } from '@/parts/lettering'
import { useDraft } from '@/reel/draft'
import LetteringFields from '@/reel/LetteringFields.vue'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'
import { useDrawing } from './drawing'
import type { Place } from './pageView'
import { usePens } from './pens'

/** Words as ink, where the page was pressed. */
const props = defineProps<{ at: Place }>()
const FIRST_SIZE_SHARE = 0.14
const PREVIEW_WIDTH = 480

const store = useReel()
const drawing = useDrawing()
const pens = usePens()
const asking = useAsking()
const shown = asking.isShown('words')
const words = ref<Words>(fresh())
const preview = useDraft(
  () => (shown.value && words.value.text.trim() !== '' ? words.value : null),
  (art) => drawnArt(store.reel!.id, art, PREVIEW_WIDTH),
)
const where = computed(() => `Their upper left corner goes to ${Math.round(props.at.x)}, ${Math.round(props.at.y)}.`)

function fresh(): Words {
  const size = Math.max(8, Math.round(drawing.canvas.height * FIRST_SIZE_SHARE))
  const widest = Math.max(1, Math.round(drawing.canvas.width - props.at.x))
  return {
    kind: 'words',
    text: '',
    typeface: 'HAND',
    own: NO_FILE,
    weight: 'REGULAR',
    size,
    color: pens.pen.color,
    align: 'LEFT',
    outline: 0,
    outlineColor: '1e2a32',
    widest,
    colors: [],
  }
}

watch(shown, (open) => {
  if (open) {
    words.value = fresh()
  }
})

const done = (): Promise<boolean> =>
  drawing.make({ type: 'press', art: { ...words.value }, x: Math.round(props.at.x), y: Math.round(props.at.y) })
</script>

<template>
  <dialog-card
    v-model="shown"
    title="Words as ink"
    verb="Write"
    :width="760"
    :disabled="words.text.trim() === ''"
    :done="done"
  >
    <div class="sides">
      <div class="settings">
        <lettering-fields v-model="words" label="Words" />
        <color-field v-model="words.color" label="Letters" />
        <p class="quiet">{{ where }} Once written they are ink like any other.</p>
      </div>
      <div class="preview checker"><img v-if="preview" :src="preview" alt="The words as they will look" /></div>
    </div>
  </dialog-card>
</template>

<style scoped src="@/parts/two-sides.css"></style>
