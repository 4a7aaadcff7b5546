import { computed, shallowRef } from 'vue'
import type { WritableComputedRef } from 'vue'

/** The dialogs of one bench, of which at most one is open. */
export function dialogsOf<Name extends string>() {
  const dialog = shallowRef<Name | null>(null)

  function open(name: Name): void {
    dialog.value = name
  }

  function close(): void {
    dialog.value = null
  }

  /** Whether a dialog is open, to be written to close it. */
  const isShown = (name: Name): WritableComputedRef<boolean> =>
    computed({
      get: () => dialog.value === name,
      set: (now: boolean) => {
        if (!now) close()
      },
    })

  return { dialog, open, close, isShown }
}
