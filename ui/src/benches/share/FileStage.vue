<script setup lang="ts">
import { mdiImageOutline, mdiPause, mdiPlay, mdiReplay, mdiSync } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Size } from '@/api/types'
import PageColors from '@/stage/PageColors.vue'
import { usePage } from '@/stage/pages'
import FirstFrame from './FirstFrame.vue'
import InStep from './InStep.vue'
import MockPage from './MockPage.vue'
import { HALF, OWN_WIDTH, PLACES, WIDTHS } from './places'
import type { Place } from './places'
import { usePagePicture } from './pagePicture'
import type { ShownFile } from './shownFile'
import { canStep } from './steps'

/** Real files in the real browser, at their real size, on the page colors they may live on. */
const props = defineProps<{
  files: ShownFile[]
  empty: boolean
  /** Why the file cannot be made, or empty. */
  problem: string
}>()

const page = usePage()
const playing = ref(!matchMedia('(prefers-reduced-motion: reduce)').matches)
const round = ref(0)
const place = useLocalStorage<Place>('dobbin.sharePlace', 'plain')
const width = ref(OWN_WIDTH)
/** Whether two files are shown at one playhead. */
const stepping = ref(false)
const together = computed(() => stepping.value && props.files.length === 2)
const own = usePagePicture()
const chooser = ref<HTMLInputElement | null>(null)
/** What lies behind the file. */
const behind = computed(() =>
  place.value === 'picture' && own.picture.value
    ? { background: `center / cover url(${own.picture.value})` }
    : { background: page.value },
)
const framed = computed(() => (place.value === 'plain' || place.value === 'picture' ? null : place.value))

function takePicture(event: Event): void {
  const [file] = (event.target as HTMLInputElement).files ?? []
  if (file) {
    own.show(file)
  }
}

/** How large it is shown, its ratio kept. */
function shownSize({ size }: ShownFile): Size {
  const across = width.value === OWN_WIDTH ? size.width : width.value === HALF ? size.width / 2 : width.value
  return { width: Math.round(across), height: Math.round((across * size.height) / size.width) }
}

/** An address of its own for each round makes the browser play the file from its start. */
const urlOf = ({ url }: ShownFile): string => (round.value > 0 ? `${url}?round=${round.value}` : url)
const state = computed(() => props.problem || (props.empty ? 'No frames yet' : 'The file is being made…'))

function play(): void {
  playing.value = true
  round.value++
}
</script>

<template>
  <section class="stage" aria-label="The file">
    <div class="head">
      <div>
        <h2>{{ files[0]?.title ?? 'The file' }}</h2>
        <p class="quiet">{{ files[0]?.facts ?? state }}</p>
      </div>
      <page-colors />
      <v-btn
        v-if="files.length === 2"
        size="small"
        :variant="stepping ? 'flat' : 'outlined'"
        :color="stepping ? 'primary' : undefined"
        :prepend-icon="mdiSync"
        :aria-pressed="stepping"
        :disabled="!canStep"
        :title="canStep ? 'The same moment of both' : 'This browser does not hand out the frames of files'"
        @click="stepping = !stepping"
        >In step</v-btn
      >
      <v-btn
        v-if="playing && !together"
        size="small"
        :prepend-icon="mdiPause"
        :disabled="files.length === 0"
        title="Show the first frame, still"
        @click="playing = false"
        >Pause</v-btn
      >
      <v-btn
        v-if="!together"
        size="small"
        :prepend-icon="playing ? mdiReplay : mdiPlay"
        :disabled="files.length === 0"
        title="Play the file from its start"
        @click="play"
        >{{ playing ? 'Again' : 'Play' }}</v-btn
      >
    </div>
    <div class="where">
      <v-select
        v-model="place"
        :items="PLACES"
        item-value="value"
        item-title="title"
        label="Looked at on"
        variant="outlined"
        density="compact"
        hide-details
      />
      <v-select
        v-model="width"
        :items="WIDTHS"
        item-value="value"
        item-title="title"
        label="Shown"
        variant="outlined"
        density="compact"
        hide-details
        :disabled="place === 'tiles'"
      />
      <template v-if="place === 'picture'">
        <v-btn variant="outlined" :prepend-icon="mdiImageOutline" @click="chooser?.click()">{{
          own.picture.value ? 'Another picture' : 'Choose a picture'
        }}</v-btn>
        <input
          ref="chooser"
          type="file"
          accept="image/*"
          class="unseen"
          tabindex="-1"
          aria-label="Picture behind the file"
          @change="takePicture"
        />
      </template>
    </div>
    <div class="page" :style="behind" tabindex="0" role="group" aria-label="Page with the file">
      <in-step v-if="together" :files="files" :widths="files.map((file) => shownSize(file).width)" />
      <figure v-for="file in together ? [] : files" :key="file.title">
        <component
          :is="framed ? MockPage : 'div'"
          v-bind="framed ? { place: framed, background: page } : { class: 'bare' }"
        >
          <img
            v-if="playing"
            :key="urlOf(file)"
            :src="urlOf(file)"
            :width="shownSize(file).width"
            :height="shownSize(file).height"
            :alt="file.title"
          />
          <first-frame
            v-else
            :src="file.url"
            :width="file.size.width"
            :height="file.size.height"
            :alt="file.title"
            :style="{ width: `${shownSize(file).width}px` }"
          />
        </component>
        <figcaption v-if="files.length > 1">{{ file.title }} · {{ file.facts }}</figcaption>
      </figure>
      <v-progress-circular
        v-if="files.length === 0 && !empty && !problem"
        indeterminate
        aria-label="The file is being made"
      />
    </div>
  </section>
</template>

<style scoped>
.stage {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  gap: 10px;
  min-width: 0;
  min-height: 0;
  padding: 14px 20px 20px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.head > div:first-child {
  flex: 1;
  min-width: 160px;
}

h2 {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

p {
  margin: 0;
  font-size: 14px;
}

.where {
  display: grid;
  grid-template-columns: minmax(0, 220px) minmax(0, 200px) auto;
  justify-content: start;
  gap: 10px;
}

.bare {
  display: grid;
}

figure {
  display: grid;
  min-width: 0;
  gap: 6px;
  margin: 0;
}

figcaption {
  justify-self: start;
  padding: 2px 10px;
  border-radius: 12px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
}

.page {
  display: flex;
  flex-wrap: wrap;
  align-items: safe center;
  justify-content: safe center;
  gap: 20px;
  overflow: auto;
  padding: 16px;
  border: 1px solid var(--line);
  border-radius: 14px;
}
</style>
