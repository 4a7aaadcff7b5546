import { useDebounceFn } from '@vueuse/core'
import { onBeforeUnmount, ref, watch } from 'vue'
import type { Draft } from '@/api/types'
import { drawnPicture } from '@/api/client'
import { sayProblem } from '@/app/messages'
import { useReel } from './store'

const PAUSE = 60

/**
 * Draws something that is not in the reel yet, as it would look there, whenever it changes; the server draws it as it draws
 * frames. Late answers are dropped.
 *
 * @param wanted what to draw, or null while nothing is looked at
 * @returns the address of a picture, or empty
 */
export function useDraft(wanted: () => Draft | null, width: number) {
  const store = useReel()
  const address = ref('')
  let latest = 0

  const draw = useDebounceFn(async (draft: Draft) => {
    const mine = ++latest
    try {
      const picture = store.reel ? await drawnPicture(store.reel.id, draft, width) : null
      if (picture && mine === latest) {
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

  watch(wanted, (draft) => void (draft && draw(draft)), { deep: true })
  onBeforeUnmount(() => show(''))
  return address
}
