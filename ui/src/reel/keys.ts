import { onBeforeUnmount, onMounted } from 'vue'
import { isTyping } from '@/app/shortcuts'
import { usePlayhead } from './playhead'
import { useReel } from './store'
import { useArranging } from './arranging'
import { useSelection } from './selection'

/** The keys that act on the open reel wherever the focus is, but for fields and what handles them itself. */
export function useReelKeys(): void {
  const store = useReel()
  const playhead = usePlayhead()
  const selection = useSelection()
  const arranging = useArranging()

  function command(event: KeyboardEvent): (() => unknown) | undefined {
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
    if (event.ctrlKey || event.metaKey) {
      return {
        z: event.shiftKey ? store.redo : store.undo,
        y: store.redo,
        a: selection.all,
        c: arranging.remember,
        v: arranging.paste,
      }[key]
    }
    if (event.altKey) {
      return {
        ArrowLeft: () => arranging.moveBy(-1),
        ArrowRight: () => arranging.moveBy(1),
        Home: arranging.moveToStart,
        End: arranging.moveToEnd,
      }[key]
    }
    const onControl = event.target instanceof Element && event.target.closest('button, a, [role="slider"]')
    return {
      ' ': onControl ? undefined : () => (playhead.playing = !playhead.playing),
      ArrowLeft: () => playhead.step(-1),
      ArrowRight: () => playhead.step(1),
      Home: () => playhead.goTo(0),
      End: () => playhead.goTo(store.frames.length - 1),
      Delete: arranging.remove,
      Backspace: arranging.remove,
      Escape: selection.none,
    }[key]
  }

  function onKey(event: KeyboardEvent): void {
    const busyElsewhere = document.querySelector('.v-overlay--active[aria-modal], .v-dialog.v-overlay--active, .v-menu.v-overlay--active')
    if (event.defaultPrevented || isTyping(event.target) || busyElsewhere) {
      return
    }
    const run = command(event)
    if (run) {
      event.preventDefault()
      void run()
    }
  }

  onMounted(() => window.addEventListener('keydown', onKey))
  onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
}
