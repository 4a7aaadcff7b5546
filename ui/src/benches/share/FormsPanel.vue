<script setup lang="ts">
import { mdiDownload, mdiXml } from '@mdi/js'
import { computed, ref } from 'vue'
import { limits } from '@/api/limits'

import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { FORMS } from './forms'
import { saveForm, saving } from './saving'
import SavingProgress from './SavingProgress.vue'

/** Other forms of the loop than a GIF. They are made anew each time and not kept. */
const props = defineProps<{ name: string }>()
defineEmits<{ html: [] }>()
const store = useReel()
const selection = useSelection()
const chosen = ref(FORMS[0]!.id)
const onlySelected = ref(false)
const columns = ref(0)
const padding = ref(0)
const form = computed(() => FORMS.find(({ id }) => id === chosen.value)!)
const isSheet = computed(() => chosen.value === 'sheet')
const ready = computed(() => store.frames.length > 0 && props.name.trim() !== '' && saving.what === null)

function download(): void {
  const frames = onlySelected.value ? selection.ids : []
  void saveForm(store.reel!.id, chosen.value, props.name, frames, { columns: columns.value, padding: padding.value })
}
</script>

<template>
  <section class="forms" aria-label="Other forms">
    <h2>In another form</h2>
    <v-select
      v-model="chosen"
      :items="FORMS"
      item-value="id"
      item-title="title"
      label="Form"
      density="compact"
      variant="outlined"
      hide-details
    />
    <p class="quiet">{{ form.hint }}</p>
    <div v-if="isSheet" class="sheet">
      <number-field
        :value="columns === 0 ? null : columns"
        label="Side by side"
        labelled
        placeholder="even"
        :min="1"
        :max="limits.SheetPlan.columns.max"
        @done="(value) => (columns = value)"
      />
      <number-field
        :value="padding"
        label="Space around"
        labelled
        suffix="px"
        v-bind="limits.SheetPlan.padding"
        @done="(value) => (padding = value)"
      />
    </div>
    <v-checkbox
      v-if="selection.ids.length > 0"
      v-model="onlySelected"
      density="compact"
      hide-details
      color="primary"
      :label="
        selection.ids.length === 1 ? 'Only the selected frame' : `Only the ${selection.ids.length} selected frames`
      "
    />
    <saving-progress v-if="saving.what === 'form'" />
    <div v-else class="ways">
      <v-btn variant="outlined" :prepend-icon="mdiDownload" :disabled="!ready" @click="download">Download</v-btn>
      <v-btn variant="outlined" :prepend-icon="mdiXml" :disabled="store.frames.length === 0" @click="$emit('html')"
        >HTML…</v-btn
      >
    </div>
  </section>
</template>

<style scoped>
.forms {
  display: grid;
  gap: 10px;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}

p {
  margin: 0;
  font-size: 14px;
}

.sheet {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

.ways {
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
