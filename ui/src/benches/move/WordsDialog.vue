<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { drawnArt } from '@/api/client'
import type { Words } from '@/api/types'
import ColorField from '@/parts/ColorField.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { ALIGNS, TYPEFACES } from '@/parts/lettering'
import NumberField from '@/parts/NumberField.vue'
import { useAsking, useDialogShown } from '@/reel/asking'
import { useDraft } from '@/reel/draft'
import { useReel } from '@/reel/store'
import { useFrameBehind } from './frameBehind'
import { useMoving } from './moving'

/** Lettering for a new cut-out, or that of one there is. */
const FIRST_SIZE_SHARE = 0.14
const PREVIEW_WIDTH = 640

const store = useReel()
const asking = useAsking()
const moving = useMoving()
const behind = useFrameBehind()
const shown = useDialogShown('words')
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
    weight: 'BOLD',
    size,
    color: 'fffdf9',
    align: 'CENTER',
    outline: 0,
    outlineColor: '1e2a32',
    colors: [],
  }
}

const changed = computed(() => moving.cutouts.find((each) => each.id === asking.artOf))
watch(shown, (open) => {
  if (open) {
    words.value = changed.value?.art.kind === 'words' ? { ...changed.value.art } : fresh()
  }
})

function done(): void {
  asking.close()
  const art = { ...words.value }
  const name = art.text.trim().replace(/\s+/g, ' ').slice(0, 40)
  void (changed.value ? store.dispatch({ type: 'setArt', cutout: changed.value.id, art }) : moving.add(name, art))
}
</script>

<template>
  <dialog-card v-model="shown" :title="changed ? `Words of ${changed.name}` : 'New words'" :verb="changed ? 'Change' : 'Add'"
    :width="820" :disabled="words.text.trim() === ''" @done="done">
    <div class="sides">
      <div class="settings">
        <v-textarea v-model="words.text" label="Words" rows="2" maxlength="500" variant="outlined" density="compact" hide-details
          autofocus />
        <div class="row">
          <v-select v-model="words.typeface" :items="TYPEFACES" label="Typeface" variant="outlined" density="compact"
            hide-details />
          <number-field :value="words.size" label="Size" labelled suffix="px" :min="4" :max="2000" class="size"
            @done="(size) => (words.size = size)" />
        </div>
        <div class="row">
          <v-btn-toggle v-model="words.weight" mandatory density="compact" variant="outlined" divided aria-label="Weight">
            <v-btn value="REGULAR" size="small">Regular</v-btn>
            <v-btn value="BOLD" size="small">Bold</v-btn>
          </v-btn-toggle>
          <v-btn-toggle v-model="words.align" mandatory density="compact" variant="outlined" divided aria-label="Alignment">
            <v-btn v-for="{ value, title } in ALIGNS" :key="value" :value="value" size="small">{{ title }}</v-btn>
          </v-btn-toggle>
        </div>
        <color-field v-model="words.color" label="Letters" />
        <div class="row">
          <number-field :value="words.outline" label="Outline" labelled suffix="px" :min="0" :max="100" :decimals="1" class="size"
            @done="(outline) => (words.outline = outline)" />
          <color-field v-if="words.outline > 0" v-model="words.outlineColor" label="Outline color" />
        </div>
      </div>
      <div class="preview checker" :style="{ backgroundImage: behind }"><img v-if="preview" :src="preview" alt="The words as they will look" /></div>
    </div>
  </dialog-card>
</template>

<style scoped src="./art-dialog.css"></style>
