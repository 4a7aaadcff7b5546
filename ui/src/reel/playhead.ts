import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { useReel } from './store'

/**
 * Where the loop is. One playhead for the whole application: the player moves it, the rhythm bar and the cards show it.
 * Times are those viewers really keep, which for the shortest delays are longer than the file says.
 */
export const usePlayhead = defineStore('playhead', () => {
  const store = useReel()
  const index = ref(0)
  /** How long the frame at `index` has been showing. */
  const shownFor = ref(0)
  const playing = ref(!matchMedia('(prefers-reduced-motion: reduce)').matches)

  const starts = computed(() => {
    let at = 0
    return store.frames.map((frame) => (at += frame.shownMillis) - frame.shownMillis)
  })
  const total = computed(() => store.frames.reduce((sum, frame) => sum + frame.shownMillis, 0))
  const millis = computed(() => (starts.value[index.value] ?? 0) + shownFor.value)
  const frame = computed(() => store.frames[index.value])

  /** Frames move and change while the loop runs: the playhead stays with the one it is on. */
  watch(
    () => store.frames,
    (now, before) => {
      const was = before[index.value]?.id
      const at = now.findIndex((each) => each.id === was)
      index.value = at >= 0 ? at : Math.min(index.value, Math.max(0, now.length - 1))
      shownFor.value = Math.min(shownFor.value, now[index.value]?.shownMillis ?? 0)
    },
  )

  /** Goes on by real time; however late it is called, it is where the loop would be. */
  function advance(elapsed: number): void {
    if (!playing.value || total.value === 0) {
      return
    }
    let left = shownFor.value + (elapsed % total.value)
    let at = index.value
    for (let delay = delayOf(at); left >= delay; delay = delayOf(at)) {
      left -= delay
      at = (at + 1) % store.frames.length
    }
    index.value = at
    shownFor.value = left
  }

  function goTo(frameIndex: number): void {
    index.value = Math.max(0, Math.min(store.frames.length - 1, frameIndex))
    shownFor.value = 0
  }

  function step(by: number): void {
    const count = store.frames.length
    if (count > 0) {
      playing.value = false
      goTo((index.value + by + count) % count)
    }
  }

  /** @return the frame that shows at a moment of the loop */
  function indexAt(moment: number): number {
    const at = starts.value.findLastIndex((start) => start <= moment)
    return Math.max(0, at)
  }

  const delayOf = (at: number): number => store.frames[at]?.shownMillis ?? Infinity

  return { index, frame, playing, millis, starts, total, advance, goTo, step, indexAt }
})
