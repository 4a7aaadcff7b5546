import { useRafFn } from '@vueuse/core'
import { watch } from 'vue'
import { usePlayhead } from './playhead'

/** Moves the playhead on by real time before each repaint, while the loop plays and the component lives. */
export function usePlaying(): void {
  const playhead = usePlayhead()
  const { pause, resume } = useRafFn(({ delta }) => playhead.advance(delta), { immediate: false })
  watch(
    () => playhead.playing,
    (now) => (now ? resume() : pause()),
    { immediate: true },
  )
}
