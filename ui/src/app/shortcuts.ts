import { ref } from 'vue'

/** What each key does, for the dialog that lists them; the keys themselves are bound where they act. */
export const SHORTCUTS: { title: string; keys: [string, string][] }[] = [
  {
    title: 'Playing',
    keys: [
      ['Space', 'Play or pause'],
      ['← →', 'One frame back or on'],
      ['Home End', 'First or last frame'],
    ],
  },
  {
    title: 'Selecting',
    keys: [
      ['Click', 'One frame'],
      ['Shift + click', 'The run up to a frame'],
      ['Ctrl + click', 'One more, or one less'],
      ['Drag on bare ground', 'All that is touched'],
      ['Shift + ← →', 'Grow or shrink the run'],
      ['Ctrl + Space', 'One more, or one less, by keyboard'],
      ['Ctrl + A', 'All frames'],
      ['Ctrl + I', 'The others'],
      ['Escape', 'None'],
    ],
  },
  {
    title: 'Arranging',
    keys: [
      ['Alt + ← →', 'Move the selection one place'],
      ['Alt + Home End', 'Move it to the start or the end'],
      ['Ctrl + X C V', 'Cut, copy, paste after the selection'],
      ['Delete', 'Remove the selection'],
    ],
  },
  {
    title: 'With the focus on a card',
    keys: [
      ['R', 'Reverse'],
      ['D', 'Copy, to after the selection'],
      ['B', 'There and back'],
      ['L', 'Leave out, or take in'],
      ['G', 'Move to a position'],
      ['N', 'Name the run'],
      ['F', 'Canvas and fit'],
      ['H', 'History'],
    ],
  },
  {
    title: 'On the stage of Move',
    keys: [
      ['← → ↑ ↓', 'Move what is chosen by a step; with Shift by ten'],
      ['Page up Page down', 'One frame back or on'],
      ['Shift + drag', 'Straight across or down; turn by 15°'],
      ['Alt + drag', 'No snapping; size without keeping the shape'],
      ['Ctrl + C V', 'Copy cut-outs, paste at the same place'],
      ['Ctrl + G', 'Group'],
      ['Delete', 'Remove the cut-outs'],
    ],
  },
  {
    title: 'On the exposure sheet',
    keys: [
      ['← → ↑ ↓', 'From cell to cell; with Shift choose more'],
      ['Enter', 'Set a pose'],
      ['Alt + ↑ ↓', 'Move poses to other frames'],
      ['Ctrl + C V', 'Copy and paste poses'],
      ['Delete', 'Remove poses'],
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
  {
    title: 'Everywhere',
    keys: [
      ['Ctrl + Z', 'Undo'],
      ['Ctrl + Shift + Z', 'Redo'],
      ['?', 'This list'],
    ],
  },
]

export const shortcutsShown = ref(false)

/** @return whether the person is writing, so that letters are theirs */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable)
}
