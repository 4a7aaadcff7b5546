import { useEventListener } from '@vueuse/core'
import { onScopeDispose, ref } from 'vue'
import { isCovered } from './layers'

/** Keys and what they do, under one title of the list of keys. */
export interface KeyGroup {
  title: string
  keys: [keys: string, does: string][]
}

export const keyListShown = ref(false)

/** What a key does where it was pressed, or nothing. */
type Command = (event: KeyboardEvent) => (() => unknown) | undefined

const commands: Command[] = []

/**
 * Keys that act wherever the focus is on the page, but for fields, and for what handles them itself. What was bound last is
 * asked first: a bench before the page it is on.
 */
export function useKeys(command: Command): void {
  commands.unshift(command)
  onScopeDispose(() => commands.splice(commands.indexOf(command), 1))
}

/** Listens for the keys of all; used once, by the application. */
export function useKeyboard(): void {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (!isElsewhere(event)) {
      const run = commands.map((command) => command(event)).find((found) => found !== undefined)
      if (run) {
        event.preventDefault()
        void run()
      }
    }
  })
}

/** Whether an event is for a menu, a dialog or a field. */
export function isElsewhere(event: Event): boolean {
  return event.defaultPrevented || (isTyping(event.target) && !isUndoOfReel(event)) || isCovered()
}

/** @return whether the person is writing, so that letters are theirs */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable)
}

/** In a field whose number counts already there is nothing to undo but the change of the reel. */
function isUndoOfReel(event: Event): boolean {
  const undoes = event instanceof KeyboardEvent && (event.ctrlKey || event.metaKey) && /^[zy]$/i.test(event.key)
  return undoes && event.target instanceof HTMLElement && event.target.closest('[data-settled]') !== null
}

/** A key by its name; letters as they are without Shift. */
export const nameOf = ({ key }: KeyboardEvent): string => (key.length === 1 ? key.toLowerCase() : key)
