import { useDebounceFn } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { sentenceFor } from '@/api/problem'
import type { Size } from '@/api/types'
import { MICROS } from './clip'
import type { Clip } from './clip'
import { picksOf } from './bringIn'
import type { Pick } from './bringIn'

/** So much of a clip is chosen at first, and at most. */
const FIRST_LENGTH = 10 * MICROS
const LONGEST = 300 * MICROS
/** Larger pictures would be reduced when they are read. */
const LARGEST_SIDE = 1600
const PAUSE_MILLIS = 80
/** How far a neighboring picture is looked for. */
const REACHES = [1, 10, 60].map((seconds) => seconds * MICROS)

/** What of a clip becomes frames: a stretch of it, how many pictures of that, and their size. */
export function useStretch(clip: Clip) {
  const from = ref(0)
  const to = ref(Math.min(clip.length, FIRST_LENGTH))
  /** One of the two counts, the other is 0. */
  const rate = reactive({ perSecond: 10, every: 0 })
  const width = ref(
    Math.min(clip.size.width, Math.floor(LARGEST_SIDE * Math.min(1, clip.size.width / clip.size.height))),
  )
  const size = computed<Size>(() => sizeOf(width.value))
  const times = ref<number[]>([])
  const picks = ref<Pick[]>([])
  const problem = ref('')
  /** Whether the picks are those of what is chosen now. */
  const settled = ref(false)
  const millis = computed(() => picks.value.reduce((sum, { delayMillis }) => sum + delayMillis, 0))
  let asked = 0

  const sizeOf = (wide: number): Size => ({
    width: wide,
    height: Math.max(1, Math.round((wide * clip.size.height) / clip.size.width)),
  })

  async function settle(): Promise<void> {
    const mine = ++asked
    const now = [from.value, to.value, rate.perSecond, rate.every] as const
    try {
      const seen = await clip.times(now[0], now[1])
      const picked = await picksOf(seen, ...now)
      if (mine === asked) {
        times.value = seen
        picks.value = picked
        problem.value = ''
        settled.value = true
      }
    } catch (failure) {
      if (mine === asked) {
        picks.value = []
        problem.value = sentenceFor(failure)
      }
    }
  }
  const settleSoon = useDebounceFn(settle, PAUSE_MILLIS)
  const change = (): void => {
    // What is still under way was asked of an earlier choice: its answer must not pass for this one's.
    asked++
    settled.value = false
    void settleSoon()
  }
  watch([from, to, () => ({ ...rate })], change, { flush: 'sync' })

  /** What is chosen stays within the clip, and is never longer than can be read at once. */
  function moveFrom(moment: number): void {
    from.value = clamped(moment, 0, clip.length - 1)
    to.value = clamped(to.value, from.value + 1, Math.min(clip.length, from.value + LONGEST))
  }

  function moveTo(moment: number): void {
    to.value = clamped(moment, 1, clip.length)
    from.value = clamped(from.value, Math.max(0, to.value - LONGEST), to.value - 1)
  }

  /** @return when the picture begins to show that shows at a moment; the end of the clip for its end */
  async function pictureAt(moment: number): Promise<number> {
    return moment >= clip.length ? clip.length : ((await clip.times(moment, moment + 1))[0] ?? 0)
  }

  /** @return the moment so many pictures on, or back */
  async function pictureFrom(moment: number, steps: number): Promise<number> {
    for (const reach of REACHES) {
      const near = await clip.times(Math.max(0, moment - reach), Math.min(clip.length, moment + reach))
      const place = near.findLastIndex((time) => time <= moment) + steps
      // Before a moment between two pictures lies the one that shows.
      const there = near[place]
      if (there !== undefined) {
        return there
      }
    }
    return steps < 0 ? 0 : clip.length
  }

  void settle()
  return {
    from,
    to,
    rate,
    width,
    size,
    times,
    picks,
    millis,
    problem,
    settled,
    moveFrom,
    moveTo,
    pictureAt,
    pictureFrom,
  }
}

export type Stretch = ReturnType<typeof useStretch>

const clamped = (value: number, min: number, max: number): number => Math.min(Math.max(value, min), max)
