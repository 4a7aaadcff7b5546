<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import ColorField from '@/parts/ColorField.vue'
import NumberField from '@/parts/NumberField.vue'
import { useSlimming } from './slimming'

/** What becomes of transparency, and what the file says of itself. */
const FIRST = 'ffffff'
const MOST_LETTERS = 1000
const slimming = useSlimming()
const delivery = computed(() => slimming.delivery!)
const way = computed(() => (delivery.value.matte === '' ? 'kept' : delivery.value.flat ? 'flat' : 'mixed'))
const matte = computed({
  get: () => delivery.value.matte || FIRST,
  set: (color: string) => void slimming.change({ matte: color }),
})
const about = computed(
  () =>
    ({
      kept: 'A pixel is there or it is not. Edges are hard on any page.',
      mixed: 'Soft on a page of this color; on others a halo shows. Look at it on the page colors above.',
      flat: 'Nothing is transparent: all lies on this color.',
    })[way.value],
)
const comment = ref('')
watch(
  () => delivery.value.encoding.comment,
  (now) => (comment.value = now),
  { immediate: true },
)

function choose(kind: string): void {
  void slimming.change({ matte: kind === 'kept' ? '' : delivery.value.matte || FIRST, flat: kind === 'flat' })
}

function sayComment(): void {
  if (comment.value.trim() !== delivery.value.encoding.comment) {
    void slimming.changeEncoding({ comment: comment.value })
  }
}
</script>

<template>
  <div class="panel">
    <div class="row">
      <v-btn-toggle
        :model-value="way"
        mandatory
        density="compact"
        variant="outlined"
        divided
        color="primary"
        aria-label="Transparency"
        @update:model-value="choose"
      >
        <v-btn value="kept" size="small">hard edges</v-btn>
        <v-btn value="mixed" size="small">mixed with a page color</v-btn>
        <v-btn value="flat" size="small">all on a color</v-btn>
      </v-btn-toggle>
      <color-field v-if="way !== 'kept'" v-model="matte" label="Page color" />
    </div>
    <p class="quiet">{{ about }}</p>
    <div v-if="way !== 'flat'" class="row">
      <span class="name">cut-off</span>
      <number-field
        :value="delivery.encoding.alphaCutoff"
        label="Opaque from"
        v-bind="limits.Encoding.alphaCutoff"
        :step="8"
        class="narrow"
        @done="(alphaCutoff) => slimming.changeEncoding({ alphaCutoff })"
      />
      <span class="quiet">of 255. Pixels at least this opaque are there: a lower cut-off makes shapes fuller.</span>
    </div>
    <div class="row">
      <span class="name">comment</span>
      <input
        v-model="comment"
        type="text"
        class="comment"
        aria-label="Comment in the file"
        placeholder="nothing: the file says nothing of itself"
        :maxlength="MOST_LETTERS"
        @change="sayComment"
        @keydown.enter.prevent="sayComment"
      />
    </div>
  </div>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.comment {
  flex: 1;
  min-width: 160px;
  height: 32px;
  padding: 0 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
}
</style>
