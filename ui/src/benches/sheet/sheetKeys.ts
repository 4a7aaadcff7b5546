import { useEventListener } from '@vueuse/core'
import { isElsewhere, nameOf, useKeys } from '@/ground/keys'
import { historyShown } from '@/reel/history'
import { useSelection } from '@/reel/selection'
import { useArranging } from './arranging'
import { useAsking } from './asking'
import { clipIn } from './clip'
import { useQuestions } from './questions'

/** The keys that act on chosen frames. They are bound on the sheet alone, where one sees which these are. */
export function useSheetKeys(): void {
  const selection = useSelection()
  const arranging = useArranging()
  const asking = useAsking()
  const questions = useQuestions()

  useKeys((event) => {
    const key = nameOf(event)
    if (event.ctrlKey || event.metaKey) {
      return { a: selection.all, i: selection.inverse }[key]
    }
    if (event.altKey) {
      return {
        ArrowLeft: () => arranging.moveBy(-1),
        ArrowRight: () => arranging.moveBy(1),
        Home: arranging.moveToStart,
        End: arranging.moveToEnd,
      }[key]
    }
    const inList = event.target instanceof Element && event.target.closest('[role="listbox"]') !== null
    return (
      { Delete: arranging.remove, Backspace: arranging.remove, Escape: selection.none }[key] ??
      (inList ? letters()[key] : undefined)
    )
  })

  /** Letters act while the focus is on a card, so that nobody sets off anything by dictating. */
  function letters(): Record<string, (() => unknown) | undefined> {
    const any = selection.ids.length > 0
    return {
      r: arranging.reverse,
      d: any ? arranging.copy : undefined,
      b: () => asking.open('thereAndBack'),
      l: () => arranging.leaveOut(!selection.frames.every((frame) => frame.leftOut)),
      g: any ? questions.position : undefined,
      n: any ? nameOrRename : undefined,
      f: () => asking.open('fit'),
      u: () => asking.open('lineUp'),
      h: () => (historyShown.value = true),
    }
  }

  function nameOrRename(): void {
    const run = selection.frames[0]?.run ?? 0
    if (run !== 0 && selection.frames.every((frame) => frame.run === run)) {
      questions.renameRun(run)
    } else {
      questions.runName()
    }
  }

  function toClipboard(event: ClipboardEvent, cut: boolean): void {
    const text = getSelection()?.toString() ?? ''
    if (!isElsewhere(event) && selection.ids.length > 0 && text === '') {
      event.preventDefault()
      arranging.toClipboard(cut, event)
    }
  }

  useEventListener(window, 'copy', (event: ClipboardEvent) => toClipboard(event, false))
  useEventListener(window, 'cut', (event: ClipboardEvent) => toClipboard(event, true))
  useEventListener(window, 'paste', (event: ClipboardEvent) => {
    const pasted = clipIn(event)
    if (!isElsewhere(event) && pasted) {
      event.preventDefault()
      void arranging.paste(pasted)
    }
  })
}
