import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { isElsewhere, useKeys } from '@/ground/keys'
import { usePlayhead } from '@/reel/playhead'

/** Space plays, unless the page is moved while it is held. */
export function useHeldSpace() {
  const playhead = usePlayhead()
  const isDown = ref(false)
  let isUsed = false

  useKeys((event) =>
    event.key === ' ' && !(event.target instanceof Element && event.target.closest('button, a, [role="slider"]'))
      ? () => {
          if (!isDown.value) {
            isDown.value = true
            isUsed = false
          }
        }
      : undefined,
  )
  useEventListener(window, 'keyup', (event: KeyboardEvent) => {
    if (event.key === ' ' && isDown.value) {
      isDown.value = false
      if (!isUsed && !isElsewhere(event)) {
        playhead.playing = !playhead.playing
      }
    }
  })

  const use = (): void => {
    isUsed = true
  }
  return { isDown, use }
}

export type HeldSpace = ReturnType<typeof useHeldSpace>
