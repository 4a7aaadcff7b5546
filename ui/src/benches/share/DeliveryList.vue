<script setup lang="ts">
import { mdiContentCopy, mdiDownload, mdiLink, mdiTrashCanOutline, mdiTuneVariant } from '@mdi/js'
import type { DeliveryView } from '@/api/types'
import { deliveryUrl } from '@/api/urls'
import { bytesText, durationText, errorText, framesText, playsText } from '@/parts/format'
import { fileNameOf } from './deliveries'
import FirstFrame from './FirstFrame.vue'

const props = defineProps<{ deliveries: DeliveryView[] }>()
defineEmits<{
  remove: [delivery: DeliveryView]
  use: [delivery: DeliveryView]
  copy: [delivery: DeliveryView]
  copyFrame: [delivery: DeliveryView]
}>()
/** The one that is looked at, and the one beside it; null for the file as set now. */
const chosen = defineModel<string | null>({ required: true })
const beside = defineModel<string | null>('beside', { required: true })
const still = matchMedia('(prefers-reduced-motion: reduce)').matches

const WHEN = new Intl.DateTimeFormat('en', { month: 'short', day: 'numeric', hour: 'numeric', minute: '2-digit' })

function describe(delivery: DeliveryView): string {
  return `${delivery.error === null ? '' : `error ${errorText(delivery.error)} · `}${framesText(delivery.frames)} · ${durationText(delivery.millis)} · ${playsText(delivery.plays)} · ${delivery.colors} colors`
}

const others = (id: string): { value: string | null; title: string }[] => [
  { value: null, title: 'the file as set now' },
  ...props.deliveries.filter((each) => each.id !== id).map((each) => ({ value: each.id, title: fileNameOf(each) })),
]
</script>

<template>
  <div class="list">
    <h2>Delivered</h2>
    <button type="button" class="now" :aria-pressed="chosen === null" @click="chosen = null">
      Only the file as set now
    </button>
    <p v-if="deliveries.length === 0" class="quiet">
      Nothing yet. Each file that you deliver stays in this list, also when the reel changes.
    </p>
    <ul v-else>
      <li v-for="delivery in deliveries" :key="delivery.id" :class="{ chosen: chosen === delivery.id }">
        <button type="button" class="show" :aria-pressed="chosen === delivery.id" @click="chosen = delivery.id">
          <first-frame
            v-if="still"
            :src="deliveryUrl(delivery.id)"
            :width="delivery.width"
            :height="delivery.height"
            alt=""
            class="playing"
          />
          <img v-else :src="deliveryUrl(delivery.id)" alt="" loading="lazy" class="playing checker" />
          <span class="facts">
            <b>{{ fileNameOf(delivery) }}</b>
            <span>{{ bytesText(delivery.bytes) }} · {{ delivery.width }} × {{ delivery.height }}</span>
            <span class="quiet">{{ WHEN.format(new Date(delivery.made)) }}</span>
          </span>
          <span class="quiet all">{{ describe(delivery) }}</span>
        </button>
        <span class="icons">
          <v-btn
            :icon="mdiDownload"
            size="small"
            variant="outlined"
            :href="`${deliveryUrl(delivery.id)}?download=true`"
            download
            :aria-label="`Download ${fileNameOf(delivery)}`"
            title="Download"
          />
          <v-btn
            :icon="mdiTrashCanOutline"
            size="small"
            variant="text"
            :aria-label="`Delete ${fileNameOf(delivery)}`"
            title="Delete"
            @click="$emit('remove', delivery)"
          />
        </span>
        <div v-if="chosen === delivery.id" class="more">
          <v-select
            v-model="beside"
            :items="others(delivery.id)"
            item-value="value"
            item-title="title"
            label="Beside it"
            density="compact"
            variant="outlined"
            hide-details
            class="beside"
          />
          <v-btn
            v-if="delivery.hasSettings"
            size="small"
            variant="outlined"
            :prepend-icon="mdiTuneVariant"
            @click="$emit('use', delivery)"
            >Use its settings</v-btn
          >
          <v-btn size="small" variant="outlined" :prepend-icon="mdiLink" @click="$emit('copy', delivery)"
            >Copy address</v-btn
          >
          <v-btn
            size="small"
            variant="outlined"
            :prepend-icon="mdiContentCopy"
            title="Browsers put no moving pictures on the clipboard"
            @click="$emit('copyFrame', delivery)"
            >Copy first frame</v-btn
          >
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.list {
  display: grid;
  gap: 10px;
}

ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: 10px;
}

.now {
  padding: 9px 10px;
  border: 1px dashed var(--edge);
  border-radius: 10px;
  font-weight: 550;
  text-align: left;
}

.chosen,
.now[aria-pressed='true'] {
  border-color: var(--rein);
  background: var(--rein-soft);
}

.show {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  gap: 4px 10px;
  min-width: 0;
  font-size: 13px;
  text-align: left;
}

.playing {
  align-self: start;
  width: 56px;
  max-height: 84px;
  border-radius: 6px;
}

.facts {
  display: grid;
}

.all {
  grid-column: 1 / 3;
}

.beside {
  flex-basis: 100%;
}

.show b {
  overflow: hidden;
  font-size: 14px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.icons {
  display: grid;
  align-content: start;
  gap: 4px;
}

.more {
  display: flex;
  grid-column: 1 / 3;
  flex-wrap: wrap;
  gap: 6px;
}

p {
  margin: 0;
}
</style>
