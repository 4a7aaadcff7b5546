/** Fields with a list of choices close it themselves. */
const TYPED =
  'input:not([type=checkbox], [type=radio], [type=range], [type=color], [type=file], [role=combobox]), textarea'

/**
 * A value that was typed belongs to what was chosen when it was typed. So a field is left, and says that it changed, before a
 * press elsewhere chooses something else: browsers let it know only afterwards, or never where the press is a drag.
 */
export function finishBeforePresses(): void {
  for (const press of ['pointerdown', 'click']) {
    window.addEventListener(press, finish, { capture: true })
  }
}

function finish({ target }: Event): void {
  const field = document.activeElement
  if (field instanceof HTMLElement && field.matches(TYPED) && !(target instanceof Node && field.contains(target))) {
    const around = field.closest('.v-input')
    if (!(target instanceof Node && around?.contains(target))) {
      field.blur()
    }
  }
}
