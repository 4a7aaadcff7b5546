import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Card, Edit, Fit } from '@/api/types'
import { say } from '@/ground/messages'
import { framesText, placesText } from '@/parts/format'
import { clip, clipOf, forget, remember } from './clip'
import type { Clip } from './clip'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'

/** The place before all frames, as edits name it. */
const START = 0

/** What can be done to the selection, for buttons, menus and keys alike. */
export const useArranging = defineStore('arranging', () => {
  const store = useReel()
  const selection = useSelection()

  /** The chosen frames, or all where none is. */
  const affected = computed(() => (selection.ids.length > 0 || selection.lost ? selection.ids : store.ids))
  const cutIds = computed(() => new Set(clip.value?.cut && clip.value.reel === store.reel?.id ? clip.value.ids : []))

  /** The last chosen frame, or the last of all: new ones go after it. */
  function lastAffected(): number {
    return affected.value.at(-1) ?? START
  }

  const afterGap = (gap: number): number => (gap === 0 ? START : (store.ids[gap - 1] ?? START))

  /** @return whether what was chosen is gone; says so, and from then on nothing is chosen */
  function chosenIsGone(): boolean {
    const gone = selection.lost
    if (gone) {
      selection.none()
      say('The frames you had chosen are gone, so nothing was changed. Choose again, or press again for all frames.')
    }
    return gone
  }

  /** Makes an edit and chooses the frames that are new by it. */
  async function adding(edit: Edit): Promise<boolean> {
    const before = new Set(store.ids)
    const done = !chosenIsGone() && (await store.dispatch(edit))
    if (done) {
      const added = store.ids.filter((id) => !before.has(id))
      selection.bring(added)
      say(`Added: ${placesText(added.map((id) => store.ids.indexOf(id)))}.`)
    }
    return done
  }

  const onSelection = async (edit: (frames: number[]) => Edit): Promise<boolean> =>
    !chosenIsGone() && selection.ids.length > 0 && (await store.dispatch(edit(selection.ids)))

  const onAffected = async (edit: (frames: number[]) => Edit): Promise<boolean> =>
    !chosenIsGone() && affected.value.length > 0 && (await store.dispatch(edit(affected.value)))

  /** @param gap how many frames come before it, counted before anything is taken out */
  const moveTo = (gap: number): Promise<boolean> =>
    onSelection((frames) => ({ type: 'moveFrames', frames, after: afterGap(gap) }))

  async function moveBy(places: -1 | 1): Promise<void> {
    const at = selection.ids.map((id) => store.ids.indexOf(id))
    if (at.length > 0) {
      const gap = places < 0 ? Math.min(...at) - 1 : Math.max(...at) + 2
      if (gap >= 0 && gap <= store.ids.length) {
        await moveTo(gap)
      }
    }
  }

  const moveToStart = (): Promise<boolean> => moveTo(0)
  const moveToEnd = (): Promise<boolean> => moveTo(store.ids.length)

  /** So that the first chosen frame gets that number, or the highest it can have. */
  function moveToNumber(number: number): Promise<boolean> {
    const others = store.ids.filter((id) => !selection.set.has(id))
    const before = others[Math.min(number - 1, others.length) - 1]
    return moveTo(before === undefined ? 0 : store.ids.indexOf(before) + 1)
  }

  const reverse = (): Promise<boolean> => onAffected((frames) => ({ type: 'reverseFrames', frames }))
  const sortByName = (): Promise<boolean> => onAffected((frames) => ({ type: 'sortByName', frames }))
  const sortByDate = (): Promise<boolean> => onAffected((frames) => ({ type: 'sortByDate', frames }))
  const thereAndBack = (endsTwice: boolean): Promise<boolean> =>
    adding({ type: 'thereAndBack', frames: affected.value, endsTwice })
  const repeat = (times: number): Promise<boolean> => adding({ type: 'repeatFrames', frames: affected.value, times })
  const thin = (keepEvery: number): Promise<boolean> =>
    onAffected((frames) => ({ type: 'thinFrames', frames, keepEvery }))
  const leaveOut = (out: boolean): Promise<boolean> => onSelection((frames) => ({ type: 'leaveOut', frames, out }))
  const nameRun = (name: string): Promise<boolean> => onSelection((frames) => ({ type: 'nameRun', frames, name }))
  const setFit = (fit: Fit): Promise<boolean> => onAffected((frames) => ({ type: 'setFit', frames, fit }))
  const copy = (): Promise<boolean> => adding({ type: 'copyFrames', frames: selection.ids, after: lastAffected() })
  /** Each card goes to the same place, so the last one goes first. */
  const addCards = (cards: Card[], delayMillis: number): Promise<boolean> => {
    const after = lastAffected()
    const edits = cards.toReversed().map((card) => ({ type: 'addCard', card, delayMillis, after }) as const)
    return adding(edits.length === 1 ? edits[0]! : { type: 'batch', edits, title: `Add ${edits.length} cards` })
  }
  const changeCard = (card: Card): Promise<boolean> => onSelection((frames) => ({ type: 'changeCard', frames, card }))

  const setDelay = (delayMillis: number): Promise<boolean> =>
    onAffected((frames) => ({ type: 'setDelay', frames, delayMillis }))
  const scale = (percent: number): Promise<boolean> =>
    onAffected((frames) => ({ type: 'scaleDelays', frames, percent }))
  const addTime = (millis: number): Promise<boolean> =>
    onAffected((frames) => ({ type: 'addToDelays', frames, millis }))
  const fitTotal = (totalMillis: number): Promise<boolean> =>
    onAffected((frames) => ({ type: 'fitTotal', frames, totalMillis }))
  const paceByDate = (totalMillis: number): Promise<boolean> =>
    onAffected((frames) => ({ type: 'paceByDate', frames, totalMillis }))

  async function remove(): Promise<void> {
    const frames = selection.ids
    if (chosenIsGone() || frames.length === 0) {
      return
    }
    const after = store.ids[store.ids.indexOf(frames.at(-1) as number) + 1]
    if (await store.dispatch({ type: 'removeFrames', frames })) {
      selection.none()
      selection.focused = after ?? store.ids.at(-1) ?? null
      say(`${framesText(frames.length)} removed.`, { label: 'Undo', run: () => void store.undo() })
    }
  }

  function toClipboard(cut: boolean, event?: ClipboardEvent): void {
    if (store.reel && selection.ids.length > 0) {
      remember(clipOf(store.reel.id, selection.frames, cut), event)
      const what = framesText(selection.ids.length)
      say(
        cut
          ? `${what} cut. Ctrl + V moves them to after the selection.`
          : `${what} copied. Ctrl + V puts them in, here or in another reel.`,
      )
    }
  }

  /** Frames of this reel are moved or copied; those of another are put in, and stay there too. */
  async function paste(from: Clip | null = clip.value): Promise<void> {
    if (!from) {
      return
    }
    const here = from.reel === store.reel?.id && from.ids.every((id) => store.ids.includes(id))
    if (here && from.cut) {
      await store.dispatch({ type: 'moveFrames', frames: from.ids, after: lastAffected() })
      selection.of(from.ids)
      forget()
    } else if (here) {
      await adding({ type: 'copyFrames', frames: from.ids, after: lastAffected() })
    } else {
      await adding({ type: 'pasteFrames', frames: from.frames, after: lastAffected() })
      if (from.cut) {
        say(
          `${framesText(from.frames.length)} put in. They are in the other reel too; remove them there if they should go.`,
        )
      }
    }
  }

  return {
    affected,
    cutIds,
    lastAffected,
    afterGap,
    moveTo,
    moveBy,
    moveToStart,
    moveToEnd,
    moveToNumber,
    reverse,
    sortByName,
    sortByDate,
    paceByDate,
    thereAndBack,
    repeat,
    thin,
    leaveOut,
    nameRun,
    setFit,
    copy,
    addCards,
    changeCard,
    setDelay,
    scale,
    addTime,
    fitTotal,
    remove,
    toClipboard,
    paste,
  }
})
