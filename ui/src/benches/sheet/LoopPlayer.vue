<script setup lang="ts">
import {
  mdiArrowExpand,
  mdiChevronDown,
  mdiClose,
  mdiPause,
  mdiPlay,
  mdiSelectionEllipseArrowInside,
  mdiSkipPrevious,
  mdiStepBackward,
  mdiStepForward,
  mdiTuneVariant,
} from '@mdi/js'
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { isCovered } from '@/ground/layers'
import ColorField from '@/parts/ColorField.vue'
import DropMenu from '@/parts/DropMenu.vue'
import { durationText } from '@/parts/format'
import { SPEEDS, usePlayhead } from '@/reel/playhead'
import { usePlaying } from '@/reel/playing'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { ZOOMS } from '@/stage/look'
import type { Look } from '@/stage/look'
import LoopStage from '@/stage/LoopStage.vue'
import PlaysMenu from './PlaysMenu.vue'

/** The loop at its true pace, or slower to look at it. */
const store = useReel()
const playhead = usePlayhead()
const selection = useSelection()
const look = useLocalStorage<Look>('dobbin.look', { ground: '', zoom: 'fit' })
const full = ref(false)

const GROUNDS = [
  { value: '', title: 'Squares' },
  { value: 'paper', title: 'Paper' },
]
const anyColor = computed({
  get: () => (/^[0-9a-f]{6}$/.test(look.value.ground) ? look.value.ground : ''),
  set: (color: string) => (look.value.ground = color),
})
const none = computed(() => store.frames.length === 0)
const place = computed(
  () =>
    `frame ${playhead.index + 1} of ${store.frames.length} · ${durationText(Math.round(playhead.starts[playhead.index] ?? 0))}`,
)

usePlaying()
useEventListener(
  window,
  'keydown',
  (event: KeyboardEvent) => {
    if (event.key === 'Escape' && full.value && !isCovered()) {
      event.preventDefault()
      full.value = false
    }
  },
  { capture: true },
)
</script>

<template>
  <section aria-label="Player" class="player" :class="{ full }">
    <loop-stage
      :look="look"
      whole
      class="stage"
      :style="
        full ? {} : { aspectRatio: store.reel ? `${store.reel.canvas.width} / ${store.reel.canvas.height}` : '3 / 2' }
      "
    />
    <div class="transport">
      <v-btn
        :icon="playhead.playing ? mdiPause : mdiPlay"
        variant="flat"
        color="primary"
        size="40"
        rounded="circle"
        :aria-label="playhead.playing ? 'Pause' : 'Play'"
        :title="playhead.playing ? 'Pause (Space)' : 'Play (Space)'"
        :disabled="none"
        @click="playhead.playing = !playhead.playing"
      />
      <v-btn
        :icon="mdiSkipPrevious"
        size="small"
        aria-label="To the start"
        title="To the start (Home)"
        :disabled="none"
        @click="playhead.toStart"
      />
      <v-btn
        :icon="mdiStepBackward"
        size="small"
        aria-label="One frame back"
        title="One frame back (←)"
        :disabled="none"
        @click="playhead.step(-1)"
      />
      <v-btn
        :icon="mdiStepForward"
        size="small"
        aria-label="One frame on"
        title="One frame on (→)"
        :disabled="none"
        @click="playhead.step(1)"
      />
      <v-btn
        :icon="mdiSelectionEllipseArrowInside"
        size="small"
        :active="playhead.selectionOnly"
        :aria-pressed="playhead.selectionOnly"
        aria-label="Play the selection only"
        title="Play the selection only"
        :disabled="selection.ids.length === 0 && !playhead.selectionOnly"
        :color="playhead.selectionOnly ? 'primary' : undefined"
        @click="playhead.selectionOnly = !playhead.selectionOnly"
      />
      <span class="gap" />
      <drop-menu>
        <template #activator="{ props: activator }">
          <v-btn
            v-bind="activator"
            size="small"
            :append-icon="mdiChevronDown"
            class="speed"
            title="Speed, for looking only"
            :aria-label="`Speed ${playhead.speed}, for looking only`"
            >{{ playhead.speed }}×</v-btn
          >
        </template>
        <v-card rounded="lg">
          <v-list density="compact" role="menu" aria-label="Speed">
            <v-list-item
              v-for="speed in SPEEDS"
              :key="speed"
              role="menuitemradio"
              :aria-checked="playhead.speed === speed"
              :title="`${speed}×`"
              :active="playhead.speed === speed"
              @click="playhead.speed = speed"
            />
          </v-list>
          <p class="quiet note">For looking only: the file keeps its own pace.</p>
        </v-card>
      </drop-menu>
      <drop-menu :close-on-content-click="false">
        <template #activator="{ props: activator }">
          <v-btn
            v-bind="activator"
            :icon="mdiTuneVariant"
            size="small"
            aria-label="How it is looked at"
            title="How it is looked at"
          />
        </template>
        <v-card class="pa-4 looks" rounded="lg" role="dialog" aria-label="How it is looked at">
          <fieldset>
            <legend>Size</legend>
            <div class="chips">
              <v-btn
                v-for="zoom in ZOOMS"
                :key="zoom.title"
                size="small"
                variant="outlined"
                class="chip"
                :active="look.zoom === zoom.value"
                :aria-pressed="look.zoom === zoom.value"
                @click="look.zoom = zoom.value"
                >{{ zoom.title }}</v-btn
              >
            </div>
          </fieldset>
          <fieldset>
            <legend>Behind it</legend>
            <div class="chips">
              <v-btn
                v-for="ground in GROUNDS"
                :key="ground.value"
                size="small"
                variant="outlined"
                class="chip"
                :active="look.ground === ground.value"
                :aria-pressed="look.ground === ground.value"
                @click="look.ground = ground.value"
                >{{ ground.title }}</v-btn
              >
            </div>
            <color-field v-model="anyColor" label="Or any color" none="No color" />
          </fieldset>
        </v-card>
      </drop-menu>
      <v-btn
        :icon="full ? mdiClose : mdiArrowExpand"
        size="small"
        :aria-label="full ? 'Leave the full view' : 'Full view'"
        :title="full ? 'Leave the full view (Escape)' : 'Full view'"
        @click="full = !full"
      />
    </div>
    <div class="where quiet">
      <span>{{ none ? 'no frames' : place }}</span>
      <span v-if="playhead.speed !== 1" class="looking">{{ playhead.speed }}× to look at</span>
      <span v-else-if="playhead.selectionOnly && selection.ids.length > 0" class="looking">selection only</span>
      <plays-menu />
    </div>
  </section>
</template>

<style scoped>
.player {
  display: grid;
}

.stage {
  width: 100%;
  max-height: 40vh;
}

.full {
  position: fixed;
  inset: 0;
  z-index: 1500;
  grid-template-rows: minmax(0, 1fr) auto auto;
  padding: 16px 20px;
  background: var(--card);
}

.full .stage {
  max-height: none;
}

.transport {
  display: flex;
  align-items: center;
  gap: 2px;
  margin-top: 8px;
}

.gap {
  flex: 1;
}

@media (max-width: 1080px) {
  .transport :deep(.v-btn--icon:not(:first-child)) {
    width: 32px;
    height: 32px;
  }
}

.speed {
  min-width: 0;
  padding-inline: 8px;
}

.where {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 30px;
  font-size: 13px;
}

.looking {
  padding: 0 8px;
  border-radius: 8px;
  background: var(--warn-soft);
  color: var(--warn);
}

.note {
  max-width: 200px;
  margin: 0 16px 10px;
  font-size: 12px;
}

.looks {
  display: grid;
  gap: 12px;
  width: 300px;
}

legend {
  margin-bottom: 6px;
  font-weight: 650;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-bottom: 8px;
}
</style>
