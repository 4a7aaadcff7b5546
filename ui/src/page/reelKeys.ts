import { nameOf, useKeys } from '@/ground/keys'
import type { KeyGroup } from '@/ground/keys'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'

export const PAGE_KEYS: KeyGroup[] = [
  {
    title: 'Playing',
    keys: [
      ['Space', 'Play or pause'],
      ['← →', 'One frame back or on'],
      ['Home End', 'First or last frame'],
    ],
  },
  {
    title: 'In the rhythm bar',
    keys: [
      ['← →', 'The frame beside'],
      ['↑ ↓', 'Ten ms more or less; with Shift a hundred'],
      ['Ctrl + wheel', 'Zoom'],
    ],
  },
]

/** The keys that act on the open reel on every bench. */
export function useReelKeys(): void {
  const store = useReel()
  const playhead = usePlayhead()

  useKeys((event) => {
    const key = nameOf(event)
    if (event.ctrlKey || event.metaKey) {
      // A browser would mark the text of the page.
      return { z: event.shiftKey ? store.redo : store.undo, y: store.redo, a: () => {} }[key]
    }
    if (event.altKey) {
      return undefined
    }
    const onControl = event.target instanceof Element && event.target.closest('button, a, [role="slider"]') !== null
    return {
      ' ': onControl ? undefined : () => (playhead.playing = !playhead.playing),
      ArrowLeft: () => playhead.step(event.shiftKey ? -10 : -1),
      ArrowRight: () => playhead.step(event.shiftKey ? 10 : 1),
      Home: playhead.toStart,
      End: () => playhead.goTo(store.frames.length - 1),
    }[key]
  })
}
