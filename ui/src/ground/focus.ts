/** Where the focus was last on the page itself, and not in a menu or a dialog over it. */
let last: HTMLElement | null = null

document.addEventListener('focusin', ({ target }) => {
  if (target instanceof HTMLElement && document.getElementById('app')?.contains(target)) {
    last = target
  }
})

/** Gives the focus back to the page after a dialog, unless something has it. */
export function focusAgain(): void {
  if (last?.isConnected && (document.activeElement === null || document.activeElement === document.body)) {
    last.focus({ preventScroll: true })
  }
}
