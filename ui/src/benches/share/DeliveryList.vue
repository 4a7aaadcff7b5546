<script setup lang="ts">
import { mdiDownload, mdiLink, mdiTrashCanOutline, mdiTuneVariant } from '@mdi/js'
import type { DeliveryView } from '@/api/types'
import { deliveryUrl } from '@/api/urls'
import { bytesText, durationText, framesText, playsText } from '@/parts/format'

defineProps<{ deliveries: DeliveryView[] }>()
defineEmits<{ remove: [delivery: DeliveryView]; use: [delivery: DeliveryView]; copy: [delivery: DeliveryView] }>()
const chosen = defineModel<string | null>({ required: true })

const WHEN = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' })

function describe(delivery: DeliveryView): string {
  return `${framesText(delivery.frames)} · ${durationText(delivery.millis)} · ${playsText(delivery.plays)} · ${delivery.colors} colors`
}
</script>

<template>
  <div class="list">
    <h2>Delivered</h2>
    <button type="button" class="now" :aria-pressed="chosen === null" @click="chosen = null">Only the file as set now</button>
    <p v-if="deliveries.length === 0" class="quiet">
      Nothing yet. Each file that you deliver stays in this list, also when the reel changes.
    </p>
    <ul v-else>
      <li v-for="delivery in deliveries" :key="delivery.id" :class="{ chosen: chosen === delivery.id }">
        <button type="button" class="show" :aria-pressed="chosen === delivery.id" @click="chosen = delivery.id">
          <b>{{ delivery.name }}.gif</b>
          <span>{{ bytesText(delivery.bytes) }} · {{ delivery.width }} × {{ delivery.height }}</span>
          <span class="quiet">{{ describe(delivery) }}</span>
          <span class="quiet">{{ WHEN.format(new Date(delivery.made)) }}</span>
        </button>
        <v-btn :icon="mdiDownload" size="small" variant="outlined" :href="`${deliveryUrl(delivery.id)}?download=true`"
          download :aria-label="`Download ${delivery.name}.gif`" title="Download" />
        <v-btn :icon="mdiTrashCanOutline" size="small" variant="text" :aria-label="`Delete ${delivery.name}.gif`" title="Delete"
          @click="$emit('remove', delivery)" />
        <div v-if="chosen === delivery.id" class="more">
          <v-btn v-if="delivery.hasSettings" size="small" variant="outlined" :prepend-icon="mdiTuneVariant" @click="$emit('use', delivery)">Use its settings</v-btn>
          <v-btn size="small" variant="outlined" :prepend-icon="mdiLink" @click="$emit('copy', delivery)">Copy address</v-btn>
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
  display: flex;
  flex-wrap: wrap;
  align-items: center;
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
  flex: 1;
  min-width: 0;
  font-size: 13px;
  text-align: left;
}

.show b {
  overflow: hidden;
  font-size: 14px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.more {
  display: flex;
  flex-basis: 100%;
  flex-wrap: wrap;
  gap: 6px;
}

p {
  margin: 0;
}
</style>
