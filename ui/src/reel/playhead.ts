import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { useReel } from './store'
import { useSelection } from './selection'

export const SPEEDS = [0.25, 0.5, 1, 2]

/**
 * Where the loop is. One playhead for the whole application: the player moves it, the rhythm bar and the cards show it.
 * Times are those viewers really keep, which for the shortest delays are longer than the file says.
 */
export const usePlayhead = defineStore('playhead', () => {
  const store = useReel()
  const selection = useSelection()
  const index = ref(0)
  /** How long the frame at `index` has been showing. */
  const shownFor = ref(0)
  const playing = ref(!matchMedia('(prefers-reduced-motion: reduce)').matches)
  /** For looking only: the file knows nothing of it. */
  const speed = ref(1)
  const selectionOnly = ref(false)

  const starts = computed(() => {
    let at = 0
    return store.frames.map((frame) => (at += frame.shownMillis) - frame.shownMillis)
  })
  const total = computed(() => store.frames.reduce((sum, frame) => sum + frame.shownMillis, 0))
  const millis = computed(() => (starts.value[index.value] ?? 0) + shownFor.value)
  const frame = computed(() => store.frames[index.value])

  /** How long each frame shows in what is played now, which may be the selection alone. */
  const played = computed(() => {
    const some = selectionOnly.value && selection.millis > 0 ? selection.set : null
    return store.frames.map((each) => (some && !some.has(each.id) ? 0 : each.shownMillis))
  })
  const playedTotal = computed(() => played.value.reduce((sum, delay) => sum + delay, 0))

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
    if (!playing.value || playedTotal.value === 0) {
      return
    }
    let left = shownFor.value + ((elapsed * speed.value) % playedTotal.value)
    let at = index.value
    for (let delay = played.value[at] ?? 0; left >= delay; delay = played.value[at] ?? 0) {
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

  function toStart(): void {
    goTo(
      Math.max(
        0,
        played.value.findIndex((delay) => delay > 0),
      ),
    )
  }

  /** To the next frame that plays, or one of several further on. */
  function step(by: number): void {
    const playable = store.frames.map((_, i) => i).filter((i) => i === index.value || (played.value[i] ?? 0) > 0)
    const at = playable.indexOf(index.value)
    if (at >= 0) {
      playing.value = false
      goTo(playable[(((at + by) % playable.length) + playable.length) % playable.length] as number)
    }
  }

  /** @return the frame that shows at a moment of the loop */
  function indexAt(moment: number): number {
    const at = starts.value.findLastIndex((start, i) => start <= moment && (store.frames[i]?.shownMillis ?? 0) > 0)
    return Math.max(0, at)
  }

  return {
    index,
    frame,
    playing,
    speed,
    selectionOnly,
    millis,
    starts,
    total,
    advance,
    goTo,
    toStart,
    step,
    indexAt,
  }
})
