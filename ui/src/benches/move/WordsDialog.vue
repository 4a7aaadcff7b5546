<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { drawnArt } from '@/api/client'
import { limits } from '@/api/limits'
import type { Words } from '@/api/types'
import ColorField from '@/parts/ColorField.vue'
import ColorList from '@/parts/ColorList.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { NO_FILE } from '@/parts/lettering'
import NumberField from '@/parts/NumberField.vue'
import { useAsking } from './asking'
import { useDraft } from '@/reel/draft'
import LetteringFields from '@/reel/LetteringFields.vue'
import { useReel } from '@/reel/store'
import { useFrameBehind } from './frameBehind'
import { useMoving } from './moving'

/** Lettering for a new cut-out, or that of one there is. */
const FIRST_SIZE_SHARE = 0.14
const PREVIEW_WIDTH = 640
/** Lines end a little before the edges of the canvas. */
const WIDEST_SHARE = 0.9
const SECOND = 'f2b27a'

const store = useReel()
const asking = useAsking()
const moving = useMoving()
const behind = useFrameBehind()
const shown = asking.isShown('words')
const usualWidth = computed(() => Math.round((store.reel?.canvas.width ?? 480) * WIDEST_SHARE))
const words = ref<Words>(fresh())
const preview = useDraft(
  () => (shown.value && words.value.text.trim() !== '' ? words.value : null),
  (art) => drawnArt(store.reel!.id, art, PREVIEW_WIDTH),
)

function fresh(): Words {
  const size = Math.max(8, Math.round((store.reel?.canvas.height ?? 320) * FIRST_SIZE_SHARE))
  return {
    kind: 'words',
    text: '',
    typeface: 'PLAIN',
    own: NO_FILE,
    weight: 'BOLD',
    size,
    color: 'fffdf9',
    align: 'CENTER',
    outline: 0,
    outlineColor: '1e2a32',
    widest: usualWidth.value,
    colors: [],
  }
}

const changed = computed(() => moving.cutouts.find((each) => each.id === asking.artOf))
watch(shown, (open) => {
  if (open) {
    words.value = changed.value?.art.kind === 'words' ? { ...changed.value.art } : fresh()
  }
})

function done(): Promise<boolean> {
  const art = { ...words.value }
  const name = art.text.trim().replace(/\s+/g, ' ').slice(0, 40)
  return changed.value ? store.dispatch({ type: 'setArt', cutout: changed.value.id, art }) : moving.add(name, art)
}
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="changed ? `Words of ${changed.name}` : 'New words'"
    :verb="changed ? 'Change' : 'Add'"
    :width="820"
    :disabled="words.text.trim() === ''"
    :done="done"
  >
    <div class="sides">
      <div class="settings">
        <lettering-fields v-model="words" label="Words" />
        <v-btn-toggle
          v-model="words.weight"
          mandatory
          density="compact"
          variant="outlined"
          divided
          aria-label="Weight"
          :disabled="words.own.file !== ''"
        >
          <v-btn value="REGULAR" size="small">Regular</v-btn>
          <v-btn value="BOLD" size="small">Bold</v-btn>
        </v-btn-toggle>
        <div class="row">
          <v-checkbox
            :model-value="words.widest > 0"
            label="Break lines at"
            density="compact"
            hide-details
            @update:model-value="(on) => (words.widest = on ? usualWidth : 0)"
          />
          <number-field
            v-if="words.widest > 0"
            :value="words.widest"
            label="Width of the lines"
            suffix="px"
            :min="1"
            :max="limits.Words.widest.max"
            :step="10"
            class="size"
            @done="(widest) => (words.widest = widest)"
          />
        </div>
        <v-checkbox
          :model-value="words.colors.length > 0"
          label="Letters in several colors"
          density="compact"
          hide-details
          @update:model-value="(on) => (words.colors = on ? [words.color, SECOND] : [])"
        />
        <color-list
          v-if="words.colors.length > 0"
          v-model="words.colors"
          label="Colors, one letter after the other"
          :min="1"
          :max="limits.Words.colors.max"
        />
        <color-field v-else v-model="words.color" label="Letters" />
        <div class="row">
          <number-field
            :value="words.outline"
            label="Outline"
            labelled
            suffix="px"
            v-bind="limits.Words.outline"
            :decimals="1"
            class="size"
            @done="(outline) => (words.outline = outline)"
          />
          <color-field v-if="words.outline > 0" v-model="words.outlineColor" label="Outline color" />
        </div>
      </div>
      <div class="preview checker" :style="behind">
        <img v-if="preview" :src="preview" alt="The words as they will look" />
      </div>
    </div>
  </dialog-card>
</template>

<style scoped src="@/parts/two-sides.css"></style>
