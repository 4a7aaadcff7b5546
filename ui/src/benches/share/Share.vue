<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { DeliveryView } from '@/api/types'
import { deliveryUrl, fileNowUrl } from '@/api/urls'
import { say, sayProblem } from '@/ground/messages'
import { bytesText } from '@/parts/format'
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
import type { ShownFile } from './FileStage.vue'

const store = useReel()
const deliveries = shallowRef<DeliveryView[]>([])
/** The delivery that is looked at beside the file as set now, or null. */
const chosen = ref<string | null>(null)
/** What files are called, without their endings. */
const name = ref('')
/** Whether what is pasted into a page is shown. */
const onPage = ref(false)
const jobId = ref<string | null>(null)
/** Whether what is being delivered is to be saved by the browser. */
const downloads = ref(false)
/** The address that the file as set had when a delivery was made of it, by delivery: those made on this page. */
const madeFrom = shallowRef<ReadonlyMap<string, string>>(new Map())
let making = ''

const job = computed(() => (store.job?.id === jobId.value ? store.job : null))
const delivering = computed(() => jobId.value !== null)
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
const delivered = computed<ShownFile | null>(() => {
  const delivery = deliveries.value.find((each) => each.id === chosen.value)
  return delivery
    ? {
        url: deliveryUrl(delivery.id),
        title: `${delivery.name}.gif`,
        size: { width: delivery.width, height: delivery.height },
        facts: `${delivery.width} × ${delivery.height} · ${bytesText(delivery.bytes)}`,
      }
    : null
})
/** What is being decided, and the delivery one compares it with, where the two differ. */
const shown = computed(() => {
  const same = now.value !== null && now.value.url === madeFrom.value.get(chosen.value ?? '')
  return [same ? null : now.value, delivered.value].filter((file): file is ShownFile => file !== null)
})

async function load(): Promise<void> {
  const id = store.reel?.id
  if (id) {
    deliveries.value = await answer(api.GET('/api/reels/{id}/deliveries', { params: { path: { id } } }))
  }
}

/** @param download whether the browser saves the file as soon as it is made */
async function deliver(name: string, download: boolean): Promise<void> {
  const id = store.reel?.id
  if (!id || delivering.value) {
    return
  }
  making = store.weight?.revision === store.reel?.revision ? (now.value?.url ?? '') : ''
  try {
    const started = await answer(api.POST('/api/reels/{id}/deliveries', { params: { path: { id } }, body: { name } }))
    jobId.value = started.id
    downloads.value = download
    // What the stream said before this answer came is not lost.
    store.job = await answer(api.GET('/api/jobs/{id}', { params: { path: { id: started.id } } }))
  } catch (failure) {
    jobId.value = null
    sayProblem(failure)
  }
}

async function remove(delivery: DeliveryView): Promise<void> {
  const id = store.reel?.id
  if (!id) {
    return
  }
  try {
    await answer(api.DELETE('/api/reels/{id}/deliveries/{delivery}', { params: { path: { id, delivery: delivery.id } } }))
    chosen.value = chosen.value === delivery.id ? null : chosen.value
    await load()
    say(`“${delivery.name}.gif” is deleted.`, { label: 'Undo', run: () => void restore(id, delivery) })
  } catch (failure) {
    sayProblem(failure)
  }
}

async function restore(id: string, delivery: DeliveryView): Promise<void> {
  try {
    await answer(api.POST('/api/reels/{id}/deliveries/{delivery}/restore', { params: { path: { id, delivery: delivery.id } } }))
    await load()
  } catch (failure) {
    sayProblem(failure)
  }
}

/** Sets the reel's delivery to what the file was made with. */
async function reuse(delivery: DeliveryView): Promise<void> {
  const path = { id: store.reel!.id, delivery: delivery.id }
  try {
    const settings = await answer(api.GET('/api/reels/{id}/deliveries/{delivery}/settings', { params: { path } }))
    if (await store.dispatch({ type: 'setDelivery', delivery: settings })) {
      say(`As set when “${delivery.name}.gif” was made.`)
    }
  } catch (failure) {
    sayProblem(failure)
  }
}

async function copyAddress(delivery: DeliveryView): Promise<void> {
  const address = new URL(deliveryUrl(delivery.id), location.href).href
  try {
    await navigator.clipboard.writeText(address)
    say(`Copied: ${address}`)
  } catch {
    say(`The browser does not let Dobbin copy. The address is ${address}`)
  }
}

async function stop(): Promise<void> {
  if (jobId.value) {
    await answer(api.DELETE('/api/jobs/{id}', { params: { path: { id: jobId.value } } })).catch(sayProblem)
  }
}

watch(job, async (now) => {
  if (!now || now.state === 'RUNNING') {
    return
  }
  jobId.value = null
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
})
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
      <deliver-form v-model:name="name" :reel="store.reel" :job="job" :busy="delivering" @deliver="deliver" @stop="stop" />
      <forms-panel :name="name" @html="onPage = true" />
      <html-dialog v-model="onPage" :name="name" />
      <work-panel />
    </section>
    <file-stage :files="shown" :empty="store.frames.length === 0" :problem="store.weight?.problem ?? ''" />
    <section class="delivered" aria-label="Deliveries">
      <checks-panel />
      <delivery-list v-model="chosen" :deliveries="deliveries" @remove="remove" @use="reuse" @copy="copyAddress" />
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
