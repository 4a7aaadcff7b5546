<script setup lang="ts">
import { mdiPause, mdiPlay } from '@mdi/js'
import { computed, onBeforeUnmount, ref, shallowRef, useTemplateRef } from 'vue'
import { answer, api } from '@/api/client'
import { sentenceFor } from '@/api/problem'
import { sayProblem } from '@/ground/messages'
import DialogCard from '@/parts/DialogCard.vue'
import { durationText, framesText } from '@/parts/format'
import { bringIn } from './bringIn'
import { MICROS } from './clip'
import type { Clip } from './clip'
import ClipSettings from './ClipSettings.vue'
import ClipTrack from './ClipTrack.vue'
import type { WaitingClip } from './clips'
import { bestLoop } from './loop'
import { openClip } from './openClip'
import { useRound } from './round'
import { useStretch } from './stretch'
import type { Stretch } from './stretch'

/** Chooses what of a clip becomes frames, before anything is read. */
const props = defineProps<{ waiting: WaitingClip }>()
const emit = defineEmits<{ done: [] }>()
const shown = ref(true)
const clip = shallowRef<Clip | null>(null)
const stretch = shallowRef<Stretch | null>(null)
const problem = ref('')
const mostFrames = ref(Infinity)
const player = useTemplateRef<HTMLVideoElement>('player')
const url = URL.createObjectURL(props.waiting.file)
const { playing, playhead, seek, toggle } = useRound(player, clip, stretch)
const looking = ref<{ share: number; stop: AbortController } | null>(null)
const loopSaid = ref('')

void open()

async function open(): Promise<void> {
  try {
    const opened = await openClip(props.waiting.file)
    clip.value = opened
    stretch.value = useStretch(opened)
    mostFrames.value = (await answer(api.GET('/api/limits'))).maxFramesPerFile
  } catch (failure) {
    problem.value = sentenceFor(failure)
  }
}

onBeforeUnmount(() => {
  looking.value?.stop.abort()
  clip.value?.close()
  URL.revokeObjectURL(url)
})

async function findLoop(): Promise<void> {
  const [opened, chosen] = [clip.value!, stretch.value!]
  const { picks, to } = chosen
  const looked = picks.value
  const end = to.value
  const stop = new AbortController()
  looking.value = { share: 0, stop }
  try {
    const read = (share: number): void => void (looking.value = { share, stop })
    const found = await bestLoop(
      opened,
      looked.map(({ time }) => time),
      stop.signal,
      read,
    )
    if (stop.signal.aborted) {
      loopSaid.value = ''
    } else if (!found) {
      loopSaid.value = 'No part of this stretch loops smoothly. Try a longer one.'
    } else {
      chosen.moveFrom(looked[found.from]!.time)
      chosen.moveTo(looked[found.to]?.time ?? end)
      seek(chosen.from.value)
      loopSaid.value = `From ${secondsText(chosen.from.value)} to ${secondsText(chosen.to.value)} it loops smoothly.`
    }
  } catch (failure) {
    if (!stop.signal.aborted) sayProblem(failure)
  } finally {
    looking.value = null
  }
}

const secondsText = (moment: number): string => `${(moment / MICROS).toFixed(2)} s`
const tooMany = computed(() => (stretch.value?.picks.value.length ?? 0) > mostFrames.value)
const result = computed(() => {
  const chosen = stretch.value
  if (!chosen || chosen.picks.value.length === 0) {
    return ''
  }
  const { width, height } = chosen.size.value
  return `${framesText(chosen.picks.value.length)}, a loop of ${durationText(chosen.millis.value)}, ${width} × ${height}`
})

function take(): void {
  const chosen = stretch.value!
  void bringIn(props.waiting.file, chosen.picks.value, chosen.size.value, props.waiting.into)
}
</script>

<template>
  <dialog-card
    v-model="shown"
    :title="`Frames from “${waiting.file.name}”`"
    :width="880"
    verb="Bring in frames"
    :disabled="!result || !stretch?.settled.value || tooMany"
    :done="take"
    @gone="emit('done')"
  >
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-else-if="!clip || !stretch" class="opening">
      <v-progress-circular indeterminate color="primary" /> Opening the clip …
    </div>
    <div v-else class="workplace">
      <div class="picture">
        <video ref="player" :src="url" muted playsinline preload="auto" aria-label="The clip" @click="toggle" />
      </div>
      <div class="settings">
        <v-btn :prepend-icon="playing ? mdiPause : mdiPlay" variant="outlined" @click="toggle">{{
          playing ? 'Pause' : 'Play'
        }}</v-btn>
        <clip-settings :clip="clip" :stretch="stretch" @seek="seek" />
      </div>
      <clip-track class="over-all" :clip="clip" :stretch="stretch" :playhead="playhead" @seek="seek" />
      <div class="over-all foot">
        <b aria-live="polite" data-test="clip-result">{{ result || stretch.problem.value }}</b>
        <span v-if="tooMany" class="refused"
          >At most {{ mostFrames }} frames can be brought in at once. Take fewer a second.</span
        >
        <span class="quiet" aria-live="polite">{{ loopSaid }}</span>
        <v-btn v-if="looking" variant="outlined" size="small" @click="looking.stop.abort()"
          >Stop looking ({{ Math.round(100 * looking.share) }} %)</v-btn
        >
        <v-btn
          v-else
          variant="outlined"
          size="small"
          :disabled="!stretch.settled.value || stretch.picks.value.length < 8"
          @click="findLoop"
          >Find where it loops</v-btn
        >
      </div>
    </div>
  </dialog-card>
</template>

<style scoped>
.opening {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 120px;
}

.workplace {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 276px;
  gap: 16px;
}

.over-all {
  grid-column: 1 / -1;
}

.picture {
  display: grid;
  place-items: center;
  height: min(340px, 42vh);
  overflow: hidden;
  border-radius: var(--round);
  background: var(--sunk);
}

video {
  max-width: 100%;
  max-height: 100%;
  min-height: 0;
  object-fit: contain;
}

.settings {
  display: grid;
  gap: 10px;
  align-content: start;
}

.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

.foot .v-btn {
  margin-left: auto;
}

.problem,
.refused {
  color: var(--rein);
}

@media (max-width: 700px) {
  .workplace {
    grid-template-columns: 1fr;
  }

  .picture {
    height: 200px;
  }
}
</style>
