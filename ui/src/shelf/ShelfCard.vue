<script setup lang="ts">
import { mdiAccountMultipleOutline, mdiAlertCircleOutline, mdiTrashCanOutline } from '@mdi/js'
import { useIntersectionObserver } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, useTemplateRef } from 'vue'
import type { ReelCard } from '@/api/types'
import { session } from '@/api/session'
import { wantPicture } from '@/api/pictureQueue'
import type { Wanted } from '@/api/pictureQueue'
import { frameUrl, previewUrl } from '@/api/urls'
import { durationText, framesText } from '@/parts/format'
import QueuedPicture from '@/parts/QueuedPicture.vue'
import { hasFewPixels } from '@/parts/fewPixels'
import AccessDialog from './AccessDialog.vue'

/** A reel on the shelf: it plays once through when the shelf is opened, then while it is pointed at or has the focus. */
const COVER_WIDTH = 256
/** Of the place for the picture, about; a picture wider than that fills its width, others its height. */
const BOX_RATIO = 1.46
const LONGEST_GREETING = 6000

const props = defineProps<{ card: ReelCard }>()
defineEmits<{ remove: []; changed: [] }>()

const mine = computed(
  () => !session.value?.named || props.card.owner === null || props.card.owner === session.value.name,
)
/** Said of reels that are not one's own, where people have names. */
const whose = computed(() => {
  const { owner } = props.card
  return !session.value?.named || owner === session.value.name ? '' : `${owner ?? 'everybody'}’s · `
})

const root = useTemplateRef<HTMLElement>('root')
const wide = computed(() => props.card.canvas.width / props.card.canvas.height > BOX_RATIO)
const seen = ref(false)
const playing = ref(false)
/** Whether it is being said who may see it. */
const giving = ref(false)
/** The first time a loop is asked for it has yet to be made; until then the cover stays. */
const ready = ref(false)
let loop: Wanted | null = null
let greeting = 0

async function play(): Promise<void> {
  window.clearTimeout(greeting)
  playing.value = true
  if (props.card.preview) {
    loop ??= wantPicture(previewUrl(props.card.id, props.card.preview), () => 'ahead')
    ready.value = await loop.image.then(
      () => true,
      () => false,
    )
  }
}

function rest(): void {
  playing.value = false
}

/** Its pictures are made when the card is seen, and not before. */
const { stop } = useIntersectionObserver(root, ([entry]) => {
  if (entry?.isIntersecting) {
    stop()
    seen.value = true
    if (!matchMedia('(prefers-reduced-motion: reduce)').matches) {
      void play().then(() => (greeting = window.setTimeout(rest, Math.min(LONGEST_GREETING, props.card.millis))))
    }
  }
})
onBeforeUnmount(() => {
  window.clearTimeout(greeting)
  loop?.giveUp()
})
</script>

<template>
  <article ref="root" class="card">
    <div v-if="card.problem" class="open" role="alert">
      <span class="picture"><v-icon :icon="mdiAlertCircleOutline" size="36" /></span>
      <span class="name">{{ card.name }}</span>
      <span class="quiet facts">{{ card.problem }}</span>
    </div>
    <router-link
      v-else
      :to="`/reels/${card.id}`"
      class="open"
      @pointerenter="play"
      @pointerleave="rest"
      @focus="play"
      @blur="rest"
    >
      <span class="picture">
        <queued-picture
          v-if="card.cover && card.preview && seen"
          :src="playing && ready ? previewUrl(card.id, card.preview) : frameUrl(card.id, card.cover, COVER_WIDTH)"
          class="checker"
          :class="[wide ? 'wide' : 'tall', { 'few-pixels': hasFewPixels(card.canvas) }]"
        />
        <span v-else-if="!card.cover" class="quiet">no frames yet</span>
      </span>
      <span class="name">{{ card.name }}</span>
      <span class="quiet facts one-line"
        >{{ whose }}{{ framesText(card.frames) }} · {{ durationText(card.millis)
        }}<template v-if="!whose"> · {{ card.canvas.width }} × {{ card.canvas.height }}</template></span
      >
    </router-link>
    <span v-if="mine" class="own">
      <v-btn
        v-if="session?.named"
        :icon="mdiAccountMultipleOutline"
        size="small"
        :aria-label="`Who may see “${card.name}”`"
        title="Who may see it"
        @click="giving = true"
      />
      <v-btn
        :icon="mdiTrashCanOutline"
        size="small"
        :aria-label="`Take “${card.name}” off the shelf`"
        title="Take it off the shelf"
        @click="$emit('remove')"
      />
    </span>
    <access-dialog v-if="session?.named" v-model="giving" :card="card" @copied="$emit('changed')" />
  </article>
</template>

<style scoped>
.card {
  position: relative;
}

.open {
  display: grid;
  gap: 2px;
  padding: 10px 10px 12px;
  border-radius: 14px;
  background: var(--card);
  box-shadow: var(--shade);
  color: var(--ink);
  text-decoration: none;
}

.open:hover {
  box-shadow:
    var(--shade),
    0 0 0 2px var(--rein);
}

.picture {
  display: grid;
  place-items: center;
  height: 190px;
  margin-bottom: 6px;
  overflow: hidden;
  border-radius: 8px;
  background: var(--sunk);
}

img {
  max-width: 100%;
  max-height: 100%;
  border-radius: 6px;
}

.wide {
  width: 100%;
}

.tall {
  height: 100%;
}

.name {
  padding-right: 72px;
  overflow: hidden;
  font-weight: 650;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.one-line {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.facts {
  padding-right: 72px;
  font-size: 14px;
}

.own {
  position: absolute;
  right: 8px;
  bottom: 10px;
  color: var(--ink2);
}
</style>
