import type { Directive } from 'vue'

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }

/** Whether the radio button that has the focus was pressed: then the arrow keys stay the bench's. */
const pressed = new WeakSet<HTMLElement>()

const radiosOf = (group: HTMLElement): HTMLElement[] => [...group.querySelectorAll<HTMLElement>('[role=radio]')]

/** One stop for Tab: the chosen one, or the first where none is chosen. */
function setStop(group: HTMLElement): void {
  const radios = radiosOf(group)
  const stop = radios.find((radio) => radio.ariaChecked === 'true') ?? radios[0]
  for (const radio of radios) radio.tabIndex = radio === stop ? 0 : -1
}

function step(event: KeyboardEvent): void {
  const group = event.currentTarget as HTMLElement
  const by = STEPS[event.key]
  const radios = radiosOf(group).filter((radio) => !radio.hasAttribute('disabled'))
  const from = radios.indexOf(event.target as HTMLElement)
  if (by === undefined || from < 0 || pressed.has(group)) return
  event.preventDefault()
  const to = radios[(from + by + radios.length) % radios.length]!
  to.focus()
  to.click()
}

/**
 * The keyboard of a group of radio buttons that are no input elements: Tab reaches the chosen one, arrow keys choose its neighbor
 * (WAI-ARIA Authoring Practices, Radio Group Pattern).
 */
export const vRadios: Directive<HTMLElement> = {
  mounted(group) {
    setStop(group)
    group.addEventListener('keydown', step)
    group.addEventListener('pointerdown', () => pressed.add(group))
    group.addEventListener('focusout', () => pressed.delete(group))
  },
  updated: setStop,
}
