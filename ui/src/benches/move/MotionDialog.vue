<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { limits } from '@/api/limits'
import type { Motion } from '@/api/types'
import ColorList from '@/parts/ColorList.vue'
import DialogCard from '@/parts/DialogCard.vue'
import { framesText } from '@/parts/format'
import NumberField from '@/parts/NumberField.vue'
import { useAsking } from './asking'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useCells } from './cells'
import { useMoving } from './moving'
import { MOTIONS, SIDES } from './words'

/** A ready motion for what is chosen, over a range of frames. It gives ordinary poses. */
type Kind = Motion['kind']
const OF_WORDS: Kind[] = ['letters', 'walkColors']
const FIRST_COLORS = ['b23e28', 'f2b27a', '2f8f83']

const emit = defineEmits<{ path: [range: { firstFrame: number; lastFrame: number }] }>()
const store = useReel()
const playhead = usePlayhead()
const asking = useAsking()
const moving = useMoving()
const cells = useCells()
const shown = asking.isShown('motion')

const kind = ref<Kind>('slide')
const out = ref(false)
const side = ref(SIDES[0]!.value)
const on = ref(3)
const off = ref(3)
const times = ref(3)
const steps = ref(12)
const height = ref(20)
const amount = ref(4)
const wordByWord = ref(false)
const colors = ref([...FIRST_COLORS])
const first = ref(1)
const last = ref(2)

const kinds = computed(() => {
  const words = moving.posed.every(({ cutout }) => cutout.art.kind === 'words')
  return MOTIONS.filter(({ value }) => words || !OF_WORDS.includes(value))
})
const names = computed(() => (moving.single ? moving.single.cutout.name : `${moving.ids.length} cut-outs`))

/** The cells that are chosen, or from the playhead on. */
watch(shown, (open) => {
  if (open) {
    const rows = cells.cells.map(({ frame }) => store.ids.indexOf(frame))
    const several = rows.length > 1 && Math.max(...rows) > Math.min(...rows)
    first.value = several ? Math.min(...rows) + 1 : playhead.index < store.ids.length - 1 ? playhead.index + 1 : 1
    last.value = several ? Math.max(...rows) + 1 : store.ids.length
    if (!kinds.value.some(({ value }) => value === kind.value)) {
      kind.value = 'slide'
    }
  }
})

const ready = computed(() => last.value > first.value)

function motion(): Motion {
  switch (kind.value) {
    case 'slide':
      return { kind: 'slide', side: side.value, out: out.value }
    case 'fade':
      return { kind: 'fade', out: out.value }
    case 'blink':
      return { kind: 'blink', on: on.value, off: off.value, times: times.value }
    case 'grow':
      return { kind: 'grow', out: out.value }
    case 'spin':
      return { kind: 'spin', steps: out.value ? -steps.value : steps.value }
    case 'bob':
      return { kind: 'bob', height: height.value, times: times.value }
    case 'shake':
      return { kind: 'shake', amount: amount.value }
    case 'letters':
      return { kind: 'letters', wordByWord: wordByWord.value }
    default:
      return { kind: 'walkColors', colors: colors.value }
  }
}

function done(): unknown {
  playhead.playing = false
  const firstFrame = store.ids[first.value - 1] ?? 0
  const lastFrame = store.ids[last.value - 1] ?? 0
  if (kind.value === 'follow') {
    emit('path', { firstFrame, lastFrame })
    return true
  }
  return moving.move(motion(), firstFrame, lastFrame)
}

const inOut = computed(() => {
  switch (kind.value) {
    case 'spin':
      return ['clockwise', 'counterclockwise']
    case 'grow':
      return ['from nothing', 'to nothing']
    case 'slide':
    case 'fade':
      return ['in', 'out']
    default:
      return null
  }
})
const means = computed(() => {
  switch (kind.value) {
    case 'spin':
      return `Each frame turns it by ${+(360 / steps.value).toFixed(2)}°, ${steps.value} frames make a full circle.`
    case 'follow':
      return 'Next, draw the path on the stage. The cut-out follows it at an even pace.'
    case 'fade':
      return 'Only its opacity changes; its other motion goes on.'
    case 'blink':
      return 'After the last blink it stays visible. More than three flashes a second can harm people.'
    default:
      return ''
  }
})
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="`Let ${names} move`"
    :verb="kind === 'follow' ? 'Draw the path' : 'Move'"
    :width="520"
    :disabled="!ready"
    :done="done"
  >
    <div class="settings">
      <v-select v-model="kind" :items="kinds" label="Motion" variant="outlined" density="compact" hide-details />
      <v-btn-toggle
        v-if="inOut"
        v-model="out"
        mandatory
        density="compact"
        variant="outlined"
        divided
        aria-label="Direction"
      >
        <v-btn :value="false" size="small">{{ inOut[0] }}</v-btn>
        <v-btn :value="true" size="small">{{ inOut[1] }}</v-btn>
      </v-btn-toggle>
      <v-select
        v-if="kind === 'slide'"
        v-model="side"
        :items="SIDES"
        :label="out ? 'To' : 'From'"
        variant="outlined"
        density="compact"
        hide-details
      />
      <div v-if="kind === 'blink'" class="row">
        <number-field
          :value="on"
          label="On for"
          labelled
          suffix="frames"
          v-bind="limits.Blink.on"
          @done="(value) => (on = value)"
        />
        <number-field
          :value="off"
          label="Off for"
          labelled
          suffix="frames"
          v-bind="limits.Blink.off"
          @done="(value) => (off = value)"
        />
        <number-field
          :value="times"
          label="Times"
          labelled
          v-bind="limits.Blink.times"
          @done="(value) => (times = value)"
        />
      </div>
      <number-field
        v-if="kind === 'spin'"
        :value="steps"
        label="Steps of a full circle"
        labelled
        :min="2"
        :max="360"
        @done="(value) => (steps = value)"
      />
      <div v-if="kind === 'bob'" class="row">
        <number-field
          :value="height"
          label="Height"
          labelled
          suffix="px"
          v-bind="limits.Bob.height"
          @done="(value) => (height = value)"
        />
        <number-field
          :value="times"
          label="Times"
          labelled
          v-bind="limits.Bob.times"
          @done="(value) => (times = value)"
        />
      </div>
      <number-field
        v-if="kind === 'shake'"
        :value="amount"
        label="Farthest"
        labelled
        suffix="px"
        v-bind="limits.Shake.amount"
        @done="(value) => (amount = value)"
      />
      <v-btn-toggle
        v-if="kind === 'letters'"
        v-model="wordByWord"
        mandatory
        density="compact"
        variant="outlined"
        divided
        aria-label="How letters come"
      >
        <v-btn :value="false" size="small">letter by letter</v-btn>
        <v-btn :value="true" size="small">word by word</v-btn>
      </v-btn-toggle>
      <color-list v-if="kind === 'walkColors'" v-model="colors" label="Colors" v-bind="limits.WalkColors.colors" />
      <div class="row">
        <number-field
          :value="first"
          label="From frame"
          labelled
          :min="1"
          :max="Math.max(1, store.ids.length - 1)"
          @done="(value) => (first = value)"
        />
        <number-field
          :value="last"
          label="To frame"
          labelled
          :min="2"
          :max="Math.max(2, store.ids.length)"
          @done="(value) => (last = value)"
        />
      </div>
      <p class="quiet" role="status">
        {{ ready ? `${framesText(last - first + 1)}. ${means}` : 'The last frame must come after the first.' }}
      </p>
    </div>
  </dialog-card>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 14px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.row > * {
  flex: 1 1 110px;
}
</style>
