<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import type { TrialView } from '@/api/types'
import { bytesText, errorText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { edgePath, scalesOf } from './chart'
import { useSlimming } from './slimming'
import { seenText, trialText } from './words'

/** Weight against visible error: each setting that was tried is a dot, the budget a line. */
const MARGIN = { left: 62, top: 26, right: 14, bottom: 40 }
/** Of a dot, in CSS pixels, and how far around it still counts. */
const RADIUS = 5
const REACH = 12

const store = useReel()
const slimming = useSlimming()
const root = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(root)

const budget = computed(() => store.reel?.budgetBytes ?? 1)
const area = computed(() => ({
  left: MARGIN.left,
  top: MARGIN.top,
  width: Math.max(60, width.value - MARGIN.left - MARGIN.right),
  height: Math.max(60, height.value - MARGIN.top - MARGIN.bottom),
}))
const scales = computed(() => scalesOf(slimming.current, budget.value, area.value))
const bands = computed(() => {
  const { unseen, seenWhenLookedFor } = slimming.marks
  const { y } = scales.value
  const bottom = area.value.top + area.value.height
  const edges = [area.value.top, Math.min(bottom, y(unseen)), Math.min(bottom, y(seenWhenLookedFor)), bottom]
  return ['not seen', 'seen when looked for', 'plain to see']
    .map((word, i) => ({ word, top: edges[i] as number, height: (edges[i + 1] as number) - (edges[i] as number) }))
    .filter((band) => band.height > 14)
})
const bytesTicks = computed(() => {
  let last = -Infinity
  return scales.value.bytesTicks.filter((tick) => {
    const at = scales.value.x(tick)
    const far = at - last > 58 && Math.abs(at - scales.value.x(budget.value)) > 8
    last = far ? at : last
    return far
  })
})
const budgetAt = computed(() => scales.value.x(budget.value))
const path = computed(() => edgePath(slimming.edge, scales.value))
/** Those on the edge lie over the others, the taken one over all. */
const dots = computed(() =>
  [...slimming.byWeight]
    .sort((a, b) => rank(a) - rank(b))
    .map((trial) => ({
      trial,
      x: scales.value.x(trial.bytes),
      y: scales.value.y(trial.error),
      label: `${trial.name ? `${trial.name}: ` : ''}${bytesText(trial.bytes)}, error ${errorText(trial.error)}, ${seenText(trial.error, slimming.marks)}; ${trialText(trial)}`,
    })),
)
const tabStop = computed(() => (slimming.shown ?? slimming.taken ?? slimming.byWeight[0])?.id)

function rank(trial: TrialView): number {
  return trial.id === slimming.taken?.id ? 2 : trial.better === null ? 1 : 0
}

async function step(by: number): Promise<void> {
  const all = slimming.byWeight
  const at = all.findIndex((trial) => trial.id === tabStop.value)
  const next = all[Math.max(0, Math.min(all.length - 1, at + by))]
  if (next) {
    slimming.pointed = next.id
    await nextTick()
    root.value?.querySelector<SVGElement>(`[data-trial="${next.id}"]`)?.focus()
  }
}

function onKey(event: KeyboardEvent, trial: TrialView): void {
  const run = {
    ArrowRight: () => void step(1),
    ArrowLeft: () => void step(-1),
    Home: () => void step(-Infinity),
    End: () => void step(Infinity),
    Enter: () => void slimming.set(trial.delivery),
    ' ': () => void slimming.set(trial.delivery),
  }[event.key]
  if (run) {
    event.preventDefault()
    run()
  }
}
</script>

<template>
  <div ref="root" class="chart">
    <svg v-if="width > 0" :width="width" :height="height" role="group" aria-label="Weight against visible error">
      <rect
        v-if="budgetAt > area.left"
        class="fits"
        :x="area.left"
        :y="area.top"
        :width="Math.min(area.width, budgetAt - area.left)"
        :height="area.height"
      />
      <g v-for="band in bands" :key="band.word">
        <line
          class="mark"
          :x1="area.left"
          :x2="area.left + area.width"
          :y1="band.top + band.height"
          :y2="band.top + band.height"
        />
        <text class="band" :x="area.left + 8" :y="band.top + 15">{{ band.word }}</text>
      </g>
      <g v-for="tick in scales.errorTicks" :key="`e${tick}`">
        <text :x="area.left - 8" :y="scales.y(tick) + 4" text-anchor="end">{{ tick }}</text>
      </g>
      <g v-for="tick in bytesTicks" :key="tick">
        <line class="tick" :x1="scales.x(tick)" :x2="scales.x(tick)" :y1="area.top" :y2="area.top + area.height" />
        <text :x="scales.x(tick)" :y="area.top + area.height + 16" text-anchor="middle">{{ bytesText(tick) }}</text>
      </g>
      <text class="axis" :x="area.left + area.width / 2" :y="height - 4" text-anchor="middle">what it weighs</text>
      <text class="axis" :transform="`translate(13 ${area.top + area.height / 2}) rotate(-90)`" text-anchor="middle">
        visible error × 100
      </text>
      <line class="budget" :x1="budgetAt" :x2="budgetAt" :y1="area.top - 6" :y2="area.top + area.height" />
      <text
        class="budget-text"
        :x="Math.max(area.left + 50, Math.min(budgetAt, area.left + area.width - 50))"
        :y="area.top - 11"
        text-anchor="middle"
      >
        budget {{ bytesText(budget) }}
      </text>
      <path class="edge" :d="path" />
      <g role="listbox" aria-label="Settings tried, the lightest first" aria-orientation="horizontal">
        <g
          v-for="dot in dots"
          :key="dot.trial.id"
          role="option"
          :aria-selected="dot.trial.id === slimming.taken?.id"
          :aria-label="dot.label"
          :tabindex="dot.trial.id === tabStop ? 0 : -1"
          :data-trial="dot.trial.id"
          class="dot"
          :class="{
            off: dot.trial.better !== null,
            over: dot.trial.bytes > budget,
            taken: dot.trial.id === slimming.taken?.id,
            pointed: dot.trial.id === slimming.pointed,
          }"
          @mouseenter="slimming.pointed = dot.trial.id"
          @mouseleave="slimming.pointed = null"
          @focus="slimming.pointed = dot.trial.id"
          @blur="slimming.pointed = null"
          @click="slimming.set(dot.trial.delivery)"
          @keydown="onKey($event, dot.trial)"
        >
          <circle class="reach" :cx="dot.x" :cy="dot.y" :r="REACH" />
          <rect
            v-if="dot.trial.name"
            :x="dot.x - RADIUS"
            :y="dot.y - RADIUS"
            :width="2 * RADIUS"
            :height="2 * RADIUS"
            class="point"
          />
          <circle v-else :cx="dot.x" :cy="dot.y" :r="dot.trial.better === null ? RADIUS : RADIUS - 1" class="point" />
        </g>
      </g>
    </svg>
    <p v-if="slimming.current.length === 0" class="none">
      Each setting you turn becomes a dot here: what it weighs against how it looks. <b>Explore</b> tries a spread of
      them.
    </p>
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  min-height: 0;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 14px;
  background: var(--card);
}

svg {
  position: absolute;
  inset: 0;
  font-size: 11.5px;
}

text {
  fill: var(--ink2);
}

.axis,
.band {
  font-size: 12px;
}

.fits {
  fill: var(--fits-soft);
}

.mark {
  stroke: var(--edge);
  stroke-dasharray: 2 5;
}

.tick {
  stroke: var(--line);
}

.budget {
  stroke: var(--fits);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}

.budget-text {
  fill: var(--fits);
  font-weight: 650;
}

.edge {
  fill: none;
  stroke: var(--edge);
  stroke-width: 1.5;
}

.reach {
  fill: transparent;
}

.dot {
  cursor: pointer;
}

.point {
  fill: var(--ink2);
  stroke: var(--card);
  stroke-width: 1.5;
}

.off .point {
  fill: var(--card);
  stroke: var(--edge);
}

.pointed .point {
  stroke: var(--ink);
  stroke-width: 3;
}

.taken .point {
  fill: var(--rein);
  stroke: var(--ink);
  stroke-width: 2.5;
  r: 7;
}

.dot:focus-visible {
  outline: none;
}

.dot:focus-visible .reach {
  stroke: var(--ink);
  stroke-width: 2.5;
}

.none {
  position: absolute;
  inset: auto 40px 22% 100px;
  margin: 0;
  padding: 8px 12px;
  font-size: 14px;
  border-radius: var(--round);
  background: var(--card);
  text-align: center;
}
</style>
