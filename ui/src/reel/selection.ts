import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { useReel } from './store'

/** Which frames are chosen. Ids of frames that are gone count for nothing, so nothing has to be cleaned up. */
export const useSelection = defineStore('selection', () => {
  const store = useReel()
  const chosen = shallowRef<ReadonlySet<number>>(new Set())
  /** Where a run begins, and where the keyboard is. */
  const anchor = shallowRef<number | null>(null)
  const focused = shallowRef<number | null>(null)

  /** The frames that came last, to be brought into view. */
  const brought = shallowRef<readonly number[]>([])

  const frames = computed(() => store.frames.filter((frame) => chosen.value.has(frame.id)))
  const ids = computed(() => frames.value.map((frame) => frame.id))
  const set = computed(() => new Set(ids.value))
  /** Whether all that was chosen is gone since, as when another tab removed it. Then nothing is meant, and not all. */
  const lost = computed(() => chosen.value.size > 0 && ids.value.length === 0)
  /** How long the chosen frames that play last together. */
  const millis = computed(() => frames.value.reduce((sum, frame) => sum + (frame.leftOut ? 0 : frame.delayMillis), 0))

  // What one undoes oneself one knows of: then nothing is chosen.
  watch(
    () => store.changedHere,
    () => {
      if (lost.value) {
        none()
      }
    },
  )

  function only(id: number): void {
    of([id])
  }

  function toggle(id: number): void {
    const next = new Set(ids.value)
    if (!next.delete(id)) {
      next.add(id)
    }
    chosen.value = next
    anchor.value = focused.value = id
  }

  /** The frames from the anchor to `id`. */
  function extendTo(id: number): void {
    const all = store.ids
    const from = anchor.value === null ? 0 : Math.max(0, all.indexOf(anchor.value))
    const to = all.indexOf(id)
    chosen.value = new Set(all.slice(Math.min(from, to), Math.max(from, to) + 1))
    anchor.value ??= all[0] ?? null
    focused.value = id
  }

  function all(): void {
    chosen.value = new Set(store.ids)
  }

  function none(): void {
    chosen.value = new Set()
    anchor.value = null
  }

  function inverse(): void {
    of(store.ids.filter((id) => !set.value.has(id)))
  }

  /** Every n-th frame, from the one at `start` on. */
  function everyNth(n: number, start: number): void {
    of(store.ids.filter((_, index) => index >= start && (index - start) % n === 0))
  }

  function run(id: number): void {
    of(store.frames.filter((frame) => frame.run === id).map((frame) => frame.id))
  }

  /** Chooses frames that just came, and has them brought into view. */
  function bring(some: number[]): void {
    of(some)
    brought.value = [...some]
  }

  function of(some: number[]): void {
    chosen.value = new Set(some)
    anchor.value = focused.value = some[0] ?? null
  }

  return {
    frames,
    ids,
    set,
    lost,
    millis,
    anchor,
    focused,
    only,
    toggle,
    extendTo,
    all,
    none,
    inverse,
    everyNth,
    run,
    of,
    bring,
    brought,
  }
})
