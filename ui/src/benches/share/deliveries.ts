import { shallowRef } from 'vue'
import { answer, api } from '@/api/client'
import { latest } from '@/api/latest'
import type { DeliveryView } from '@/api/types'
import { deliveryUrl } from '@/api/urls'
import { say, sayProblem } from '@/ground/messages'
import { useReel } from '@/reel/store'

export const fileNameOf = ({ name }: DeliveryView): string => `${name}.gif`

/** The files that were delivered of the open reel, and what can be done with them. */
export function useDeliveries() {
  const store = useReel()
  const deliveries = shallowRef<DeliveryView[]>([])

  const ask = latest(
    (id: string) => answer(api.GET('/api/reels/{id}/deliveries', { params: { path: { id } } })),
    (told, id) => (deliveries.value = store.reel?.id === id ? told : []),
  )

  async function load(): Promise<void> {
    if (store.reel) {
      await ask(store.reel.id)
    }
  }

  async function remove(delivery: DeliveryView): Promise<void> {
    const id = store.reel?.id
    if (!id) {
      return
    }
    try {
      await answer(
        api.DELETE('/api/reels/{id}/deliveries/{delivery}', { params: { path: { id, delivery: delivery.id } } }),
      )
      await load()
      say(`“${fileNameOf(delivery)}” is deleted.`, { label: 'Undo', run: () => void restore(id, delivery) })
    } catch (failure) {
      sayProblem(failure)
    }
  }

  async function restore(id: string, delivery: DeliveryView): Promise<void> {
    try {
      await answer(
        api.POST('/api/reels/{id}/deliveries/{delivery}/restore', { params: { path: { id, delivery: delivery.id } } }),
      )
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
        say(`As set when “${fileNameOf(delivery)}” was made.`)
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

  /** Browsers put no moving pictures on the clipboard: its first frame goes there. */
  async function copyFirstFrame(delivery: DeliveryView): Promise<void> {
    try {
      const image = new Image()
      image.src = deliveryUrl(delivery.id)
      await image.decode()
      const surface = Object.assign(document.createElement('canvas'), {
        width: delivery.width,
        height: delivery.height,
      })
      surface.getContext('2d')!.drawImage(image, 0, 0)
      const png = new Promise<Blob>((resolve, reject) =>
        surface.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture')))),
      )
      await navigator.clipboard.write([new ClipboardItem({ 'image/png': png })])
      say('The first frame is on the clipboard, as a still picture. Drag or download the file to have it move.')
    } catch {
      say('The browser does not let Dobbin copy pictures. Download the file instead.')
    }
  }

  return { deliveries, load, remove, reuse, copyAddress, copyFirstFrame }
}
