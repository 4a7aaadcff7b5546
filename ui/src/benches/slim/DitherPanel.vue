<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import { dithersUrl } from '@/api/urls'
import NumberField from '@/parts/NumberField.vue'
import { vRadios } from '@/parts/radios'
import { useReel } from '@/reel/store'
import { useSlimming } from './slimming'
import { DITHERS } from './words'

/** Which dither, chosen by eye on a piece of the picture, and how much of it. */
const store = useReel()
const slimming = useSlimming()
const delivery = computed(() => slimming.delivery!)
const amount = computed(() => delivery.value.encoding.ditherAmount)
const slid = ref(0)
watch(amount, (now) => (slid.value = now), { immediate: true })
/** All patches are in one picture, one below the other, in the order of the kinds. */
const patches = computed(() =>
  store.reel && slimming.factsOf ? `url(${dithersUrl(store.reel.id, slimming.factsOf)})` : 'none',
)
const setAmount = (ditherAmount: number): Promise<boolean> => slimming.changeEncoding({ ditherAmount })
</script>

<template>
  <div class="panel">
    <div v-radios class="kinds" role="radiogroup" aria-label="Dithering">
      <button
        v-for="(kind, i) in DITHERS"
        :key="kind.value"
        type="button"
        role="radio"
        class="kind"
        :aria-checked="delivery.dither === kind.value"
        :title="kind.about"
        @click="slimming.change({ dither: kind.value })"
      >
        <span
          class="patch"
          :style="{
            backgroundImage: patches,
            backgroundSize: `100% ${DITHERS.length * 100}%`,
            backgroundPosition: `0 ${(100 * i) / (DITHERS.length - 1)}%`,
          }"
          aria-hidden="true"
        />
        <b>{{ kind.title }}</b>
        <span class="quiet">{{ kind.about }}</span>
      </button>
    </div>
    <div class="row">
      <span class="name">how much</span>
      <number-field
        :value="amount"
        label="Amount of dithering"
        suffix="%"
        v-bind="limits.Encoding.ditherAmount"
        :step="5"
        class="narrow"
        @done="setAmount"
      />
      <v-slider
        v-model="slid"
        :min="0"
        :max="100"
        :step="1"
        hide-details
        color="primary"
        class="slider"
        aria-label="Dithering in percent"
        :disabled="delivery.dither === 'NONE'"
        @end="setAmount"
        @keyup="slid !== amount && setAmount(slid)"
      />
      <span class="quiet">More is smoother and heavier; above 90 the grain shows.</span>
    </div>
  </div>
</template>

<style scoped src="./panel.css"></style>
<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(86px, 1fr));
  gap: 6px;
}

.kind {
  display: grid;
  align-content: start;
  gap: 2px;
  padding: 6px;
  border: 1px solid var(--line);
  border-radius: 10px;
  font-size: 13px;
  line-height: 1.25;
  text-align: left;
}

.kind .quiet {
  font-size: 12px;
}

.kind[aria-checked='true'] {
  border-color: var(--rein);
  background: var(--rein-soft);
  box-shadow: 0 0 0 1px var(--rein);
}

.patch {
  height: 56px;
  border-radius: 6px;
  background-color: var(--sunk);
  image-rendering: pixelated;
}
</style>
