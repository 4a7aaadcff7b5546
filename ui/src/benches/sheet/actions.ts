import {
  mdiArrowCollapseHorizontal,
  mdiArrowLeftRight,
  mdiAspectRatio,
  mdiBrightness6,
  mdiContentCopy,
  mdiContentCut,
  mdiContentPaste,
  mdiEyeOffOutline,
  mdiEyeOutline,
  mdiImageSyncOutline,
  mdiLabelOffOutline,
  mdiLabelOutline,
  mdiPageFirst,
  mdiPageLast,
  mdiPencilOutline,
  mdiPlusBoxMultipleOutline,
  mdiRepeat,
  mdiSortAlphabeticalAscending,
  mdiSortCalendarAscending,
  mdiVectorArrangeBelow,
  mdiViewGridOutline,
  mdiSwapHorizontal,
  mdiTrashCanOutline,
} from '@mdi/js'
import { computed } from 'vue'
import type { Action } from '@/parts/action'
import { AS_IT_IS, isLit } from '@/parts/aligned'
import { useArranging } from './arranging'
import { useAsking } from './asking'
import { clip } from './clip'
import { useQuestions } from './questions'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'

/** All that can be done to the selection, in groups, the same wherever it is offered. */
export function useActions() {
  const store = useReel()
  const selection = useSelection()
  const arranging = useArranging()
  const asking = useAsking()
  const questions = useQuestions()

  const count = computed(() => selection.ids.length)
  const any = computed(() => count.value > 0)
  const affected = computed(() => arranging.affected.length)
  const stills = computed(() =>
    store.frames.flatMap(({ id, content }) =>
      content.kind === 'still' && arranging.affected.includes(id) ? [{ id, light: content.light }] : [],
    ),
  )
  const lit = computed(() => stills.value.filter(({ light }) => isLit(light)))
  const allOut = computed(() => any.value && selection.frames.every((frame) => frame.leftOut))
  const run = computed(() => {
    const first = selection.frames[0]?.run ?? 0
    return first !== 0 && selection.frames.every((frame) => frame.run === first) ? first : 0
  })
  const onlyCards = computed(() => any.value && selection.frames.every((frame) => frame.content.kind === 'card'))

  const reverse = computed<Action>(() => ({
    label: 'Reverse',
    icon: mdiSwapHorizontal,
    keys: 'R',
    enabled: affected.value > 1,
    run: arranging.reverse,
  }))
  const copy = computed<Action>(() => ({
    label: 'Copy',
    icon: mdiPlusBoxMultipleOutline,
    keys: 'D',
    enabled: any.value,
    run: arranging.copy,
  }))
  const repeat = computed<Action>(() => ({
    label: 'Repeat…',
    icon: mdiRepeat,
    enabled: affected.value > 0,
    run: questions.repeat,
  }))
  const thereAndBack = computed<Action>(() => ({
    label: 'There and back…',
    icon: mdiArrowLeftRight,
    keys: 'B',
    enabled: affected.value > 1,
    run: () => asking.open('thereAndBack'),
  }))
  const leaveOut = computed<Action>(() => ({
    label: allOut.value ? 'Take in' : 'Leave out',
    icon: allOut.value ? mdiEyeOutline : mdiEyeOffOutline,
    keys: 'L',
    enabled: any.value,
    run: () => arranging.leaveOut(!allOut.value),
  }))
  const remove = computed<Action>(() => ({
    label: 'Remove',
    icon: mdiTrashCanOutline,
    keys: 'Delete',
    enabled: any.value,
    run: arranging.remove,
  }))

  const places = computed<Action[]>(() => [
    { label: 'Cut', icon: mdiContentCut, keys: 'Ctrl + X', enabled: any.value, run: () => arranging.toClipboard(true) },
    {
      label: 'Copy for pasting',
      icon: mdiContentCopy,
      keys: 'Ctrl + C',
      enabled: any.value,
      run: () => arranging.toClipboard(false),
    },
    {
      label: 'Paste',
      icon: mdiContentPaste,
      keys: 'Ctrl + V',
      enabled: clip.value !== null,
      run: () => arranging.paste(),
    },
    { label: 'To the start', icon: mdiPageFirst, keys: 'Alt + Home', enabled: any.value, run: arranging.moveToStart },
    { label: 'To the end', icon: mdiPageLast, keys: 'Alt + End', enabled: any.value, run: arranging.moveToEnd },
    { label: 'To position…', icon: mdiArrowCollapseHorizontal, keys: 'G', enabled: any.value, run: questions.position },
    {
      label: 'Into order of name',
      icon: mdiSortAlphabeticalAscending,
      enabled: affected.value > 1,
      run: arranging.sortByName,
    },
    {
      label: 'Into order of date',
      icon: mdiSortCalendarAscending,
      enabled: affected.value > 1,
      run: arranging.sortByDate,
    },
  ])
  const contents = computed<Action[]>(() => [
    { label: 'Keep every n-th…', icon: mdiArrowCollapseHorizontal, enabled: affected.value > 1, run: questions.thin },
    run.value === 0
      ? { label: 'Name this run…', icon: mdiLabelOutline, keys: 'N', enabled: any.value, run: questions.runName }
      : {
          label: 'Rename the run…',
          icon: mdiLabelOutline,
          keys: 'N',
          enabled: true,
          run: () => questions.renameRun(run.value),
        },
    {
      label: 'Unname the run',
      icon: mdiLabelOffOutline,
      enabled: run.value !== 0,
      run: () => store.dispatch({ type: 'unnameRun', run: run.value }),
    },
    {
      label: 'Canvas and fit…',
      icon: mdiAspectRatio,
      keys: 'F',
      enabled: affected.value > 0,
      run: () => asking.open('fit'),
    },
    {
      label: 'Line up…',
      icon: mdiVectorArrangeBelow,
      keys: 'U',
      enabled: stills.value.length > 0,
      run: () => asking.open('lineUp'),
    },
    lit.value.length === 0
      ? {
          label: 'Even the light',
          icon: mdiBrightness6,
          enabled: stills.value.length > 2,
          run: () => store.evenLight(stills.value.map(({ id }) => id)),
        }
      : {
          label: 'Light as in the photos',
          icon: mdiBrightness6,
          enabled: true,
          run: () =>
            store.dispatch({
              type: 'lightStills',
              stills: lit.value.map(({ id }) => ({ frame: id, light: AS_IT_IS })),
            }),
        },
    {
      label: 'Cut into frames…',
      icon: mdiViewGridOutline,
      enabled: count.value === 1 && selection.frames[0]?.content.kind === 'still',
      run: () => asking.open('plate'),
    },
    {
      label: 'Replace the picture…',
      icon: mdiImageSyncOutline,
      enabled: count.value === 1,
      run: () => (asking.replacing = selection.ids[0] as number),
    },
    { label: 'Change the card…', icon: mdiPencilOutline, enabled: onlyCards.value, run: () => asking.card(true) },
  ])

  const main = computed(() => [reverse, copy, repeat, thereAndBack, leaveOut, remove].map((action) => action.value))
  const groups = computed(() => [main.value, places.value, contents.value])

  return { main, more: computed(() => [places.value, contents.value]), groups }
}
