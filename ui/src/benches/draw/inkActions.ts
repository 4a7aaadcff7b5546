import {
  mdiContentCopy,
  mdiContentCut,
  mdiContentPaste,
  mdiEraser,
  mdiSelectAll,
  mdiStamper,
  mdiSwapHorizontal,
  mdiTransitionMasked,
} from '@mdi/js'
import { computed } from 'vue'
import type { Action } from '@/parts/action'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'
import { useDrawing } from './drawing'
import { useTaken } from './taken'

/** What can be done with the ink of the page, as a menu. */
export function useInkActions() {
  const store = useReel()
  const drawing = useDrawing()
  const taken = useTaken()
  const asking = useAsking()

  return computed<Action[][]>(() => {
    const frame = drawing.frame
    const id = frame?.id ?? 0
    const inked = frame !== undefined && frame.ink.picture !== ''
    const next = store.frames[store.ids.indexOf(id) + 1]
    return [
      [
        { label: 'Take all ink', icon: mdiSelectAll, keys: 'Ctrl+A', enabled: inked, run: () => takeAll() },
        { label: 'Copy what is taken', icon: mdiContentCopy, keys: 'Ctrl+C', enabled: taken.isHere, run: taken.copy },
        {
          label: 'Paste at the same place',
          icon: mdiContentPaste,
          keys: 'Ctrl+V',
          enabled: taken.copied !== null,
          run: taken.paste,
        },
        { label: 'Remove what is taken', icon: mdiEraser, keys: 'Delete', enabled: taken.isHere, run: taken.remove },
      ],
      [
        {
          label: 'Give it to the next pages…',
          icon: mdiTransitionMasked,
          enabled: inked && store.frames.length > 1,
          run: () => asking.open('pages'),
        },
        {
          label: 'Exchange with the next page',
          icon: mdiSwapHorizontal,
          enabled: next !== undefined && (inked || next.ink.picture !== ''),
          run: () => next && store.dispatch({ type: 'swapInk', frame: id, other: next.id }),
        },
        {
          label: 'Make it a cut-out',
          icon: mdiContentCut,
          enabled: inked,
          run: () => store.dispatch({ type: 'inkToCutout', frame: id }),
        },
        {
          label: 'Make a cut-out ink…',
          icon: mdiStamper,
          enabled: drawing.cutoutsHere.length > 0,
          run: () => asking.open('imprint'),
        },
        {
          label: 'Clear the page',
          icon: mdiEraser,
          enabled: inked,
          run: () => store.dispatch({ type: 'clearInk', frames: [id] }),
        },
      ],
    ]
  })

  function takeAll(): void {
    drawing.hand = 'take'
    taken.all()
  }
}
