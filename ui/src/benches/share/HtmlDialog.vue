<script setup lang="ts">
import { mdiContentCopy, mdiDownload } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { limits } from '@/api/limits'
import { frameNowUrl } from '@/api/urls'
import { say, sayProblem } from '@/ground/messages'
import DialogCard from '@/parts/DialogCard.vue'
import NumberField from '@/parts/NumberField.vue'
import { useReel } from '@/reel/store'
import { saveForm, saving } from './saving'

/** What one pastes into a page to show the loop, also to those who do not see it, or not move. */
const props = defineProps<{ name: string }>()
const shown = defineModel<boolean>({ required: true })
const PREVIEW_WIDTH = 320
const store = useReel()
const alt = ref('')
const html = ref('')
const sharing = computed(() => store.reel!.sharing)
/** The frame that stands for the loop, and its number. */
const still = computed(() => store.frames.find(({ id }) => id === sharing.value.still) ?? store.frames[0])
const number = computed(() => (still.value ? store.frames.indexOf(still.value) + 1 : 1))

watch(
  () => [shown.value, sharing.value.alt] as const,
  ([open]) => {
    if (open) alt.value = sharing.value.alt
  },
)
watch(
  () => [shown.value, store.reel?.revision, props.name] as const,
  async ([open]) => {
    if (open) {
      const params = { path: { id: store.reel!.id }, query: { name: props.name } }
      html.value = await answer(api.GET('/api/reels/{id}/html', { params })).then(
        (view) => view.html,
        (failure: unknown) => (sayProblem(failure), ''),
      )
    }
  },
)

function describe(): void {
  if (alt.value.trim() !== sharing.value.alt) {
    void store.dispatch({ type: 'setAlt', alt: alt.value.trim() })
  }
}

function stand(place: number): void {
  void store.dispatch({ type: 'setStill', frame: store.frames[place - 1]!.id })
}

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(html.value)
    say('The HTML is copied.')
  } catch (failure) {
    sayProblem(
      new Error('The browser does not let Dobbin copy. Select the text and copy it by hand.', { cause: failure }),
    )
  }
}

const download = (form: string): void => void saveForm(store.reel!.id, form, props.name)
</script>

<template>
  <dialog-card v-model="shown" title="On a page" :width="720">
    <div class="choices">
      <div class="words">
        <v-text-field
          v-model="alt"
          label="What it shows, in words"
          :maxlength="limits.SetAlt.alt.max"
          autocomplete="off"
          @change="describe"
        />
        <p class="quiet">
          Read aloud to people who do not see it, and shown where it does not load. Leave it empty only where it
          decorates.
        </p>
        <number-field
          :value="number"
          label="Still is frame"
          labelled
          :min="1"
          :max="store.frames.length"
          @done="stand"
        />
        <p class="quiet">Shown to people who asked for less motion.</p>
      </div>
      <img v-if="still" :src="frameNowUrl(store.reel!.id, still.drawn, PREVIEW_WIDTH)" :alt="`Frame ${number}`" />
    </div>
    <pre tabindex="0" aria-label="HTML">{{ html }}</pre>
    <div class="ways">
      <v-btn variant="flat" color="primary" :prepend-icon="mdiContentCopy" :disabled="html === ''" @click="copy"
        >Copy</v-btn
      >
      <v-btn
        variant="outlined"
        :prepend-icon="mdiDownload"
        :loading="saving.what !== null"
        title="A zip of the page, the GIF and the still"
        @click="download('page')"
        >Page with its files</v-btn
      >
      <v-btn
        variant="outlined"
        :prepend-icon="mdiDownload"
        :loading="saving.what !== null"
        title="One file that holds all it needs"
        @click="download('example')"
        >Page in one file</v-btn
      >
    </div>
  </dialog-card>
</template>

<style scoped>
.choices {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 240px;
  gap: 20px;
  align-items: start;
}

.words {
  display: grid;
  gap: 8px;
}

.choices img {
  width: 100%;
  border: 1px solid var(--line);
  border-radius: 8px;
}

p {
  margin: 0 0 6px;
  font-size: 14px;
}

pre {
  overflow: auto;
  max-height: 28vh;
  margin: 12px 0;
  padding: 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--paper);
  font-size: 13px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

@media (max-width: 640px) {
  .choices {
    grid-template-columns: minmax(0, 1fr);
  }

  .choices img {
    max-width: 240px;
  }
}
</style>
