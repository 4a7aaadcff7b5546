import { getCurrentScope, onScopeDispose } from 'vue'

/** Asked before the tab is left: whether something would be lost with it. */
const sources = new Set<() => boolean>()

/** Whether something has not reached the server yet. */
export const isUnsent = (): boolean => [...sources].some((source) => source())

/** Has the browser ask before the tab is left, while `source` says so and the calling scope, if there is one, lives. */
export function askBeforeLeaving(source: () => boolean): void {
  sources.add(source)
  if (getCurrentScope()) {
    onScopeDispose(() => sources.delete(source))
  }
}

window.addEventListener('beforeunload', (event) => {
  if (isUnsent()) {
    event.preventDefault()
  }
})
