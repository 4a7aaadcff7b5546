import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { WritableComputedRef } from 'vue'
import { durationText, framesText, paceText } from '@/parts/format'
import { useArranging } from './arranging'
import { useReel } from './store'
import { useSelection } from './selection'

/** A question of one number or one line of text. */
export interface Question {
  title: string
  label: string
  verb: string
  value: number | string
  min?: number
  max?: number
  suffix?: string
  /** What the answer would lead to, in words. */
  leadsTo?: (value: number) => string
  run: (value: never) => unknown
}

type Dialog =
  | 'fit'
  | 'card'
  | 'thereAndBack'
  | 'history'
  | 'words'
  | 'shape'
  | 'cutout'
  | 'tween'
  | 'motion'
  | 'surroundings'

/** Whether a dialog is open, to be written to close it. */
export function useDialogShown(name: Dialog): WritableComputedRef<boolean> {
  const asking = useAsking()
  return computed({
    get: () => asking.dialog === name,
    set: (open: boolean) => {
      if (!open) asking.close()
    },
  })
}

/** What is being asked before something is done. One thing at a time. */
export const useAsking = defineStore('asking', () => {
  const store = useReel()
  const selection = useSelection()
  const arranging = useArranging()
  const question = shallowRef<Question | null>(null)
  const dialog = shallowRef<Dialog | null>(null)
  /** Whether the card dialog changes the chosen cards; otherwise it adds one. */
  const cardsToChange = shallowRef(false)
  const replacing = shallowRef<number | null>(null)
  /** The cut-out whose words or shape are changed; with none, a new one is made. */
  const artOf = shallowRef<number | null>(null)

  const which = computed(() =>
    selection.ids.length > 0 ? framesText(arranging.affected.length) : `all ${framesText(arranging.affected.length)}`,
  )

  const playing = (): number => store.frames.filter((f) => !f.leftOut && arranging.affected.includes(f.id)).length
  const millis = (): number => (selection.ids.length > 0 ? selection.millis : (store.reel?.loopMillis ?? 0))

  function repeat(): void {
    question.value = {
      title: `Repeat ${which.value}`,
      label: 'Times in all',
      verb: 'Repeat',
      value: 2,
      min: 2,
      max: 100,
      leadsTo: (times) =>
        `${framesText(arranging.affected.length * times)}, ${durationText(millis() * times)}, in place of ${framesText(arranging.affected.length)}, ${durationText(millis())}.`,
      run: (times: number) => arranging.repeat(times),
    }
  }

  function position(): void {
    question.value = {
      title: `Move ${which.value}`,
      label: 'To position',
      verb: 'Move',
      value: store.ids.indexOf(selection.ids[0] as number) + 1,
      min: 1,
      max: store.ids.length,
      run: (number: number) => arranging.moveToNumber(number),
    }
  }

  function thin(): void {
    question.value = {
      title: `Thin out ${which.value}`,
      label: 'Keep every',
      suffix: 'n-th',
      verb: 'Thin out',
      value: 2,
      min: 2,
      max: 100,
      leadsTo: (n) =>
        `${framesText(Math.ceil(playing() / n))} of ${playing()} stay and take over the time of the others: still ${durationText(millis())} in all.`,
      run: (n: number) => arranging.thin(n),
    }
  }

  function everyNth(): void {
    const start = Math.max(0, selection.focused === null ? 0 : store.ids.indexOf(selection.focused))
    question.value = {
      title: `Select every n-th from frame ${start + 1}`,
      label: 'Every',
      suffix: 'n-th',
      verb: 'Select',
      value: 3,
      min: 2,
      max: Math.max(2, store.ids.length),
      leadsTo: (n) => framesText(Math.ceil((store.ids.length - start) / n)),
      run: (n: number) => selection.everyNth(n, start),
    }
  }

  function fitTotal(): void {
    question.value = {
      title: `Fit ${which.value} to a total`,
      label: 'Total',
      suffix: 'ms',
      verb: 'Fit',
      value: millis(),
      min: 10 * Math.max(1, playing()),
      max: 600_000 * Math.max(1, playing()),
      leadsTo: (total) => `${durationText(millis())} become ${durationText(total)}, each frame in proportion: ${paceText(playing(), total)}.`,
      run: (total: number) => arranging.fitTotal(total),
    }
  }

  function addTime(): void {
    question.value = {
      title: `Show ${which.value} longer, or shorter`,
      label: 'Add to each',
      suffix: 'ms',
      verb: 'Add',
      value: 20,
      min: -600_000,
      max: 600_000,
      leadsTo: (by) => `${durationText(millis())} become ${durationText(Math.max(0, millis() + by * playing()))}.`,
      run: (by: number) => arranging.addTime(by),
    }
  }

  function scale(): void {
    question.value = {
      title: `Make ${which.value} last`,
      label: 'Of the time now',
      suffix: '%',
      verb: 'Change',
      value: 150,
      min: 1,
      max: 10_000,
      leadsTo: (percent) => `${durationText(millis())} become ${durationText(Math.round((millis() * percent) / 100))}.`,
      run: (percent: number) => arranging.scale(percent),
    }
  }

  function runName(): void {
    question.value = {
      title: `Name ${which.value}`,
      label: 'Name of the run',
      verb: 'Name',
      value: '',
      run: (name: string) => arranging.nameRun(name),
    }
  }

  function renameRun(run: number): void {
    question.value = {
      title: 'Rename the run',
      label: 'Name of the run',
      verb: 'Rename',
      value: store.reel?.runs.find((each) => each.id === run)?.name ?? '',
      run: (name: string) => store.dispatch({ type: 'renameRun', run, name }),
    }
  }

  const fit = (): Dialog => (dialog.value = 'fit')
  const history = (): Dialog => (dialog.value = 'history')
  const thereAndBack = (): Dialog => (dialog.value = 'thereAndBack')

  function newCard(): void {
    cardsToChange.value = false
    dialog.value = 'card'
  }

  function changeCard(): void {
    cardsToChange.value = true
    dialog.value = 'card'
  }

  const tween = (): Dialog => (dialog.value = 'tween')
  const motion = (): Dialog => (dialog.value = 'motion')
  const cutout = (): Dialog => (dialog.value = 'cutout')
  const surroundings = (): Dialog => (dialog.value = 'surroundings')

  function art(kind: 'words' | 'shape', of: number | null): void {
    artOf.value = of
    dialog.value = kind
  }

  /** Opens the file picker for one frame's new picture. */
  function replacement(frame: number): void {
    replacing.value = frame
  }

  function close(): void {
    question.value = dialog.value = null
  }

  return {
    question,
    dialog,
    cardsToChange,
    replacing,
    which,
    repeat,
    position,
    thin,
    everyNth,
    fitTotal,
    addTime,
    scale,
    runName,
    renameRun,
    fit,
    history,
    thereAndBack,
    newCard,
    changeCard,
    replacement,
    artOf,
    tween,
    motion,
    cutout,
    surroundings,
    art,
    close,
  }
})
