<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { DeliveryView, JobView } from '@/api/types'
import { deliveryUrl, fileNowUrl } from '@/api/urls'
import { say, sayProblem } from '@/ground/messages'
import { bytesText } from '@/parts/format'
import { useJob } from '@/reel/job'
import { useReel } from '@/reel/store'
import ChecksPanel from './ChecksPanel.vue'
import DeliverForm from './DeliverForm.vue'
import DeliveryList from './DeliveryList.vue'
import FileStage from './FileStage.vue'
import FormsPanel from './FormsPanel.vue'
import HtmlDialog from './HtmlDialog.vue'
import PlaysField from './PlaysField.vue'
import SetOnSlim from './SetOnSlim.vue'
import WorkPanel from './WorkPanel.vue'
import { fileNameOf, useDeliveries } from './deliveries'
import type { ShownFile } from './shownFile'

const store = useReel()
const all = useDeliveries()
const { deliveries, load } = all
/** The delivery that is looked at, or null; and the one beside it, or null for the file as set now. */
const chosen = ref<string | null>(null)
const beside = ref<string | null>(null)
/** What files are called, without their endings. */
const name = ref('')
/** Whether what is pasted into a page is shown. */
const onPage = ref(false)
/** Whether what is being delivered is to be saved by the browser. */
const downloads = ref(false)
/** The address that the file as set had when a delivery was made of it, by delivery: those made on this page. */
const madeFrom = shallowRef<ReadonlyMap<string, string>>(new Map())
let making = ''

const { job, isRunning: delivering, follow, stop } = useJob('delivery', (ended) => void deliveryEnded(ended))
/** What would be delivered now. */
const now = computed<ShownFile | null>(() => {
  const reel = store.reel
  const weight = store.weight
  if (!reel || weight?.bytes == null) {
    return null
  }
  const { width, height } = reel.deliveredSize
  return {
    url: fileNowUrl(reel.id, weight.file),
    title: 'As set now',
    size: reel.deliveredSize,
    facts: `${width} × ${height} · ${bytesText(weight.bytes)}`,
  }
})
function delivered(id: string | null): ShownFile | null {
  const delivery = deliveries.value.find((each) => each.id === id)
  return delivery
    ? {
        url: deliveryUrl(delivery.id),
        title: fileNameOf(delivery),
        size: { width: delivery.width, height: delivery.height },
        facts: `${delivery.width} × ${delivery.height} · ${bytesText(delivery.bytes)}`,
      }
    : null
}
/** What is being decided, or a delivery, and the one it is compared with, where the two differ. */
const shown = computed(() => {
  const same = now.value !== null && now.value.url === madeFrom.value.get(chosen.value ?? '')
  const first = delivered(beside.value) ?? (same ? null : now.value)
  return [first, delivered(chosen.value)].filter((file): file is ShownFile => file !== null)
})

/** @param download whether the browser saves the file as soon as it is made */
async function deliver(name: string, download: boolean): Promise<void> {
  const id = store.reel?.id
  if (!id || delivering.value) {
    return
  }
  making = store.weight?.revision === store.reel?.revision ? (now.value?.url ?? '') : ''
  try {
    const started = await answer(api.POST('/api/reels/{id}/deliveries', { params: { path: { id } }, body: { name } }))
    downloads.value = download
    follow(started)
  } catch (failure) {
    sayProblem(failure)
  }
}

async function remove(delivery: DeliveryView): Promise<void> {
  chosen.value = chosen.value === delivery.id ? null : chosen.value
  await all.remove(delivery)
}

async function deliveryEnded(now: JobView): Promise<void> {
  if (now.state === 'DONE') {
    await load().catch(sayProblem)
    chosen.value = now.result
    madeFrom.value = new Map([...madeFrom.value, [now.result ?? '', making]])
    if (downloads.value && now.result) {
      location.assign(`${deliveryUrl(now.result)}?download=true`)
    }
    say('Delivered. It stays in the list, whatever you change from here on.')
  } else if (now.problem) {
    sayProblem(new Error(now.problem))
  }
}
watch(chosen, (id) => (beside.value = beside.value === id ? null : beside.value))
watch(
  () => store.delivered,
  () => void load().catch(sayProblem),
)
watch(
  () => store.reel?.id,
  () => void load().catch(sayProblem),
  { immediate: true },
)
</script>

<template>
  <div v-if="store.reel" class="share">
    <section class="making" aria-label="How the file is made">
      <set-on-slim />
      <plays-field />
      <deliver-form
        v-model:name="name"
        :reel="store.reel"
        :job="job"
        :busy="delivering"
        @deliver="deliver"
        @stop="stop"
      />
      <forms-panel :name="name" @html="onPage = true" />
      <html-dialog v-model="onPage" :name="name" />
      <work-panel />
    </section>
    <file-stage :files="shown" :empty="store.frames.length === 0" :problem="store.weight?.problem ?? ''" />
    <section class="delivered" aria-label="Deliveries">
      <checks-panel />
      <delivery-list
        v-model="chosen"
        v-model:beside="beside"
        :deliveries="deliveries"
        @remove="remove"
        @use="all.reuse"
        @copy="all.copyAddress"
        @copy-frame="all.copyFirstFrame"
      />
    </section>
  </div>
</template>

<style scoped>
.share {
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr) 300px;
  height: 100%;
}

.making,
.delivered {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 16px;
  overflow-y: auto;
  padding: 14px 20px;
  background: var(--card);
  border-right: 1px solid var(--line);
}

.delivered {
  border-right: 0;
  border-left: 1px solid var(--line);
}

@media (max-width: 1080px) {
  .share {
    grid-template-columns: 300px minmax(0, 1fr);
    grid-template-rows: minmax(0, 1.2fr) minmax(0, 1fr);
  }

  .making {
    grid-row: 1 / 3;
    padding: 12px;
  }

  .delivered {
    border-top: 1px solid var(--line);
  }
}

/* One column: the file, how it is made, what was delivered. */
@media (max-width: 760px) {
  .share {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 56dvh auto auto;
    height: auto;
  }

  .making {
    grid-row: 2;
    border: 0;
  }

  .delivered {
    border-left: 0;
  }
}
</style>
