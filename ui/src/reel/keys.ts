import { useEventListener } from '@vueuse/core'
import { useRoute } from 'vue-router'
import { isTyping } from '@/app/shortcuts'
import { useArranging } from './arranging'
import { useAsking } from './asking'
import { clipIn } from './clip'
import { usePlayhead } from './playhead'
import { useReel } from './store'
import { useSelection } from './selection'

/**
 * The keys that act on the open reel wherever the focus is, but for fields and what handles them itself. Those that act on
 * chosen frames do so on the sheet alone, where one sees which they are.
 */
export function useReelKeys(): void {
  const route = useRoute()
  const store = useReel()
  const playhead = usePlayhead()
  const selection = useSelection()
  const arranging = useArranging()
  const asking = useAsking()
  const onSheet = (): boolean => route.name === 'sheet'

  function command(event: KeyboardEvent): (() => unknown) | undefined {
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
    if (event.ctrlKey || event.metaKey) {
      return {
        z: event.shiftKey ? store.redo : store.undo,
        y: store.redo,
        a: onSheet() ? selection.all : () => {},
        i: onSheet() ? selection.inverse : undefined,
      }[key]
    }
    if (event.altKey) {
      return !onSheet() ? undefined : {
        ArrowLeft: () => arranging.moveBy(-1),
        ArrowRight: () => arranging.moveBy(1),
        Home: arranging.moveToStart,
        End: arranging.moveToEnd,
      }[key]
    }
    const target = event.target instanceof Element ? event.target : document.body
    const onControl = target.closest('button, a, [role="slider"]')
    return plain(event, onControl !== null)[key] ?? (target.closest('[role="listbox"]') ? letters()[key] : undefined)
  }

  function plain(event: KeyboardEvent, onControl: boolean): Record<string, (() => unknown) | undefined> {
    return {
      ' ': onControl ? undefined : () => (playhead.playing = !playhead.playing),
      ArrowLeft: () => playhead.step(event.shiftKey ? -10 : -1),
      ArrowRight: () => playhead.step(event.shiftKey ? 10 : 1),
      Home: playhead.toStart,
      End: () => playhead.goTo(store.frames.length - 1),
      ...(onSheet() ? { Delete: arranging.remove, Backspace: arranging.remove, Escape: selection.none } : {}),
    }
  }

  /** Letters act on the sheet alone, while the focus is in it, so that nobody sets off anything by dictating. */
  function letters(): Record<string, (() => unknown) | undefined> {
    const any = selection.ids.length > 0
    return {
      r: arranging.reverse,
      d: any ? arranging.copy : undefined,
      b: asking.thereAndBack,
      l: () => arranging.leaveOut(!selection.frames.every((frame) => frame.leftOut)),
      g: any ? asking.position : undefined,
      n: any ? nameOrRename : undefined,
      f: asking.fit,
      h: asking.history,
    }
  }

  function nameOrRename(): void {
    const run = selection.frames[0]?.run ?? 0
    if (run !== 0 && selection.frames.every((frame) => frame.run === run)) {
      asking.renameRun(run)
    } else {
      asking.runName()
    }
  }

  /** In a field whose number counts already there is nothing to undo but the change of the reel. */
  function isUndoOfReel(event: Event): boolean {
    const undoes = event instanceof KeyboardEvent && (event.ctrlKey || event.metaKey) && /^[zy]$/i.test(event.key)
    return undoes && event.target instanceof HTMLElement && event.target.closest('[data-settled]') !== null
  }

  /** A dialog or a menu that is open has the keys to itself; so have fields. */
  function isElsewhere(event: Event): boolean {
    const open = '.v-overlay--active[aria-modal], .v-dialog.v-overlay--active, .v-menu.v-overlay--active'
    return event.defaultPrevented || (isTyping(event.target) && !isUndoOfReel(event)) || document.querySelector(open) !== null
  }

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const run = isElsewhere(event) ? undefined : command(event)
    if (run) {
      event.preventDefault()
      void run()
    }
  })

  function toClipboard(event: ClipboardEvent, cut: boolean): void {
    const text = getSelection()?.toString() ?? ''
    if (onSheet() && !isElsewhere(event) && selection.ids.length > 0 && text === '') {
      event.preventDefault()
      arranging.toClipboard(cut, event)
    }
  }

  useEventListener(window, 'copy', (event: ClipboardEvent) => toClipboard(event, false))
  useEventListener(window, 'cut', (event: ClipboardEvent) => toClipboard(event, true))
  useEventListener(window, 'paste', (event: ClipboardEvent) => {
    const pasted = clipIn(event)
    if (onSheet() && !isElsewhere(event) && pasted) {
      event.preventDefault()
      void arranging.paste(pasted)
    }
  })
}
