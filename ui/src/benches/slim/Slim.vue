<script setup lang="ts">
import { computed, onScopeDispose, ref, useTemplateRef, watch } from 'vue'
import { sayProblem } from '@/ground/messages'
import { nameOf, useKeys } from '@/ground/keys'
import { barsShown } from '@/reel/bars'
import { usePlaying } from '@/reel/playing'
import { useReel } from '@/reel/store'
import ChangePanel from './ChangePanel.vue'
import ColorPanel from './ColorPanel.vue'
import CompareStage from './CompareStage.vue'
import CropStage from './CropStage.vue'
import DitherPanel from './DitherPanel.vue'
import EdgePanel from './EdgePanel.vue'
import FitBar from './FitBar.vue'
import SizePanel from './SizePanel.vue'
import { useSlimming } from './slimming'
import TrialCard from './TrialCard.vue'
import TrialChart from './TrialChart.vue'
import { choiceText, ditherText } from './words'

/** What it weighs against how it looks, and everything that decides it. */
const store = useReel()
const slimming = useSlimming()
const stage = useTemplateRef<InstanceType<typeof CompareStage>>('stage')
const cropping = ref(false)
usePlaying()

const panels = computed(() => {
  const delivery = slimming.delivery
  const size = store.reel?.deliveredSize
  return delivery && size
    ? [
        { name: 'size', title: 'Size', value: `${size.width} × ${size.height}`, panel: SizePanel },
        { name: 'colors', title: 'Colors', value: `${delivery.colors} ${choiceText(delivery)}`, panel: ColorPanel },
        {
          name: 'dither',
          title: 'Dithering',
          value: ditherText(delivery).replace('no dithering', 'none'),
          panel: DitherPanel,
        },
        {
          name: 'change',
          title: 'Change',
          value: `${delivery.encoding.tolerance}${delivery.framing.every > 1 ? `, 1 in ${delivery.framing.every}` : ''}`,
          panel: ChangePanel,
        },
        {
          name: 'edges',
          title: 'Edges',
          value: delivery.matte === '' ? 'hard' : delivery.flat ? 'flat' : 'mixed',
          panel: EdgePanel,
        },
      ]
    : []
})
const shown = ref('colors')
const panel = computed(() => panels.value.find((each) => each.name === shown.value))

function onTabKey(event: KeyboardEvent): void {
  const at = panels.value.findIndex((each) => each.name === shown.value)
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  const next = by === undefined ? undefined : panels.value[(at + by + panels.value.length) % panels.value.length]
  if (next) {
    event.preventDefault()
    shown.value = next.name
    document.getElementById(`slim-tab-${next.name}`)?.focus()
  }
}

useKeys((event) => {
  const plain = !event.ctrlKey && !event.metaKey && !event.altKey
  const can = store.frames.length > 0 && plain && slimming.search === null
  const at = ['1', '2', '3'].indexOf(event.key)
  if (plain && at >= 0 && stage.value) {
    return () => stage.value?.look(at)
  }
  return { e: can ? () => slimming.begin(false) : undefined, b: can ? () => slimming.begin(true) : undefined }[
    nameOf(event)
  ]
})

watch(
  () => store.tried,
  () => void slimming.loadTrials().catch(sayProblem),
)
watch(
  () => store.reel?.id,
  () => {
    slimming.trials = []
    slimming.facts = null
    void slimming.loadTrials().catch(sayProblem)
    void slimming.findSearch().catch(sayProblem)
  },
  { immediate: true },
)
/** Dots of before are told apart as soon as the loop changes. */
watch(
  () => store.frames.map((frame) => frame.drawn).join(),
  () => void slimming.loadTrials().catch(sayProblem),
)
watch(
  () => [store.reel?.id, slimming.file] as const,
  ([id, file]) => {
    if (id && file) void slimming.loadFacts(id, file)
  },
  { immediate: true },
)

/** Bytes on the rhythm bar's axis: codes, palettes, overhead. The highest bar is the heaviest frame. */
watch(
  () => [slimming.facts, store.frames, store.reel?.delivery.framing.every] as const,
  ([facts, frames, every]) => {
    if (!facts) {
      barsShown.value = null
      return
    }
    const most = Math.max(1, ...facts.frames.map((frame) => frame.codes + frame.palette + frame.overhead))
    const byPlace = new Map(
      facts.frames.map((frame) => [
        frame.first,
        [frame.codes, frame.palette, frame.overhead].map((part) => (0.96 * part) / most),
      ]),
    )
    let played = -1
    barsShown.value = frames.map((frame) => {
      played += frame.leftOut ? 0 : 1
      return frame.leftOut || played % (every ?? 1) !== 0 ? [] : (byPlace.get(played / (every ?? 1)) ?? [])
    })
  },
  { immediate: true },
)
onScopeDispose(() => {
  barsShown.value = null
  slimming.pointed = null
})
</script>

<template>
  <div v-if="store.reel && slimming.delivery" class="slim">
    <section class="left" aria-label="Weight against looks">
      <fit-bar />
      <trial-chart />
      <trial-card />
      <p v-if="slimming.facts" class="advice">
        <span class="key codes" /> pixels <span class="key palette" /> palettes <span class="key overhead" /> the rest.
        {{ slimming.facts.advice }}
      </p>
    </section>
    <section class="right" aria-label="The file and its settings">
      <crop-stage v-if="cropping" @done="cropping = false" />
      <compare-stage v-else ref="stage" />
      <div v-if="!cropping" class="tabs" role="tablist" aria-label="Settings of the file" @keydown="onTabKey">
        <button
          v-for="each in panels"
          :id="`slim-tab-${each.name}`"
          :key="each.name"
          type="button"
          role="tab"
          class="tab"
          :aria-selected="shown === each.name"
          :tabindex="shown === each.name ? 0 : -1"
          aria-controls="slim-panel"
          @click="shown = each.name"
        >
          <span class="quiet">{{ each.title }}</span>
          <b>{{ each.value }}</b>
        </button>
      </div>
      <div
        v-if="panel && !cropping"
        id="slim-panel"
        class="panel"
        role="tabpanel"
        :aria-labelledby="`slim-tab-${panel.name}`"
      >
        <component :is="panel.panel" @crop="cropping = true" />
      </div>
    </section>
  </div>
</template>

<style scoped>
.slim {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  height: 100%;
}

.left,
.right {
  display: grid;
  gap: 10px;
  min-height: 0;
  padding: 12px 20px;
}

.left {
  grid-template-rows: auto minmax(160px, 1fr) auto auto;
  overflow-y: auto;
  border-right: 1px solid var(--line);
}

.right {
  grid-template-rows: minmax(0, 1fr) auto clamp(150px, 30dvh, 240px);
  background: var(--card);
}

.right:has(.crop) {
  grid-template-rows: minmax(0, 1fr);
}

.advice {
  margin: 0;
  font-size: 13px;
}

.key {
  display: inline-block;
  width: 10px;
  height: 10px;
  border-radius: 2px;
}

.key + .key {
  margin-left: 4px;
}

.codes {
  background: var(--beat);
}

.palette {
  background: var(--run-1);
}

.overhead {
  background: var(--ink);
}

.tabs {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 6px;
}

.tab {
  display: grid;
  padding: 5px 10px;
  border: 1px solid var(--line);
  border-radius: 10px;
  font-size: 13px;
  text-align: left;
}

.tab b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.tab[aria-selected='true'] {
  border-color: var(--ink);
  box-shadow: inset 0 -3px var(--rein);
}

.panel {
  min-height: 0;
  overflow-y: auto;
  padding: 4px 2px;
}

@media (max-width: 1080px) {
  .left,
  .right {
    padding: 10px 12px;
  }
}

@media (max-width: 760px) {
  .slim {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }

  .left {
    grid-row: 2;
    grid-template-rows: auto 320px auto auto;
    border: 0;
  }

  .right {
    grid-template-rows: 54dvh auto auto;
  }

  .right:has(.crop) {
    grid-template-rows: auto;
  }

  .tabs {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
