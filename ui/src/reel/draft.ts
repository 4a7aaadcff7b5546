import { useDebounceFn } from '@vueuse/core'
import { onBeforeUnmount, ref, watch } from 'vue'
import { sayProblem } from '@/ground/messages'

const PAUSE = 60

/**
 * Shows something that is not in the reel yet, as the server draws it, whenever it changes. Late answers are dropped.
 *
 * @param wanted what to draw, or null while nothing is looked at
 * @returns the address of a picture, or empty, and what is wrong with what is wanted, or empty
 */
export function useDraft<T>(wanted: () => T | null, draw: (what: T) => Promise<Blob>) {
  const address = ref('')
  let latest = 0
  let gone = false

  const redraw = useDebounceFn(async (what: T) => {
    if (gone) {
      return
    }
    const mine = ++latest
    try {
      const picture = await draw(what)
      if (mine === latest && !gone) {
        show(URL.createObjectURL(picture))
      }
    } catch (failure) {
      sayProblem(failure)
    }
  }, PAUSE)

  function show(next: string): void {
    URL.revokeObjectURL(address.value)
    address.value = next
  }

  watch(wanted, (what) => void (what && redraw(what)), { deep: true })
  // An answer that comes later finds nobody to show it to.
  onBeforeUnmount(() => {
    gone = true
    show('')
  })
  return address
}
