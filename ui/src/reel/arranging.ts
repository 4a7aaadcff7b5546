import { defineStore } from 'pinia'
import { ref } from 'vue'
import { say } from '@/app/messages'
import { framesText } from '@/parts/format'
import { useReel } from './store'
import { useSelection } from './selection'

/** What can be done to the selection, for buttons, menus and keys alike. */
export const useArranging = defineStore('arranging', () => {
  const store = useReel()
  const selection = useSelection()
  const remembered = ref<number[]>([])

  /** @param to the gap to go into, counted before anything is taken out */
  async function moveTo(to: number): Promise<void> {
    if (selection.ids.length > 0) {
      await store.dispatch({ type: 'moveFrames', frames: selection.ids, to })
    }
  }

  async function moveBy(places: -1 | 1): Promise<void> {
    const at = selection.ids.map((id) => store.ids.indexOf(id))
    if (at.length === 0) {
      return
    }
    const gap = places < 0 ? Math.min(...at) - 1 : Math.max(...at) + 2
    if (gap >= 0 && gap <= store.ids.length) {
      await moveTo(gap)
    }
  }

  const moveToStart = (): Promise<void> => moveTo(0)
  const moveToEnd = (): Promise<void> => moveTo(store.ids.length)

  async function reverse(): Promise<void> {
    const frames = selection.ids.length > 1 ? selection.ids : store.ids
    if (frames.length > 1) {
      await store.dispatch({ type: 'reverseFrames', frames })
    }
  }

  /** The gap after the last selected frame, or the end. */
  function gapAfterSelection(): number {
    const last = selection.ids.at(-1)
    return last === undefined ? store.ids.length : store.ids.indexOf(last) + 1
  }

  async function copy(frames: number[] = selection.ids): Promise<void> {
    const still = frames.filter((id) => store.ids.includes(id))
    const before = new Set(store.ids)
    if (still.length > 0 && (await store.dispatch({ type: 'copyFrames', frames: still, to: gapAfterSelection() }))) {
      selection.of(store.ids.filter((id) => !before.has(id)))
    }
  }

  function remember(): void {
    if (selection.ids.length > 0) {
      remembered.value = selection.ids
      say(`${framesText(selection.ids.length)} copied. Ctrl + V puts copies after the selection.`)
    }
  }

  const paste = (): Promise<void> => copy(remembered.value)

  async function remove(): Promise<void> {
    const frames = selection.ids
    if (frames.length === 0) {
      return
    }
    const after = store.ids[store.ids.indexOf(frames.at(-1) as number) + 1]
    if (await store.dispatch({ type: 'removeFrames', frames })) {
      selection.of(after === undefined ? [] : [after])
      say(`${framesText(frames.length)} removed.`, { label: 'Undo', run: () => void store.undo() })
    }
  }

  async function setDelay(delayMillis: number): Promise<void> {
    const frames = selection.ids.length > 0 ? selection.ids : store.ids
    if (frames.length > 0) {
      await store.dispatch({ type: 'setDelay', frames, delayMillis })
    }
  }

  return { moveTo, moveBy, moveToStart, moveToEnd, reverse, copy, remember, paste, remove, setDelay, gapAfterSelection }
})
