import { onBeforeUnmount, ref, watch } from 'vue'
import { drawnPicture } from '@/api/client'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'

const WIDEST = 1600

/**
 * The still of the frame at the playhead alone, as it lies on the canvas, for what is dragged under it.
 *
 * @param wanted whether something is
 * @returns its address, or empty
 */
export function useLiftedStill(wanted: () => boolean) {
  const store = useReel()
  const playhead = usePlayhead()
  const address = ref('')
  let latest = 0

  function show(next: string): void {
    URL.revokeObjectURL(address.value)
    address.value = next
  }

  watch(
    () => (wanted() ? playhead.frame?.drawn : undefined),
    async (drawn) => {
      const mine = ++latest
      show('')
      const { reel } = store
      const content = playhead.frame?.content
      if (drawn && reel && content) {
        const picture = await drawnPicture(
          reel.id,
          { content, canvas: reel.canvas },
          Math.min(WIDEST, reel.canvas.width),
          true,
        ).catch(() => null)
        if (picture && mine === latest && wanted()) {
          show(URL.createObjectURL(picture))
        }
      }
    },
  )
  onBeforeUnmount(() => {
    latest++
    show('')
  })
  return address
}
