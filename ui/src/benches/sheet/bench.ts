import type { Bench } from '@/ground/bench'

export const sheet: Bench = {
  name: 'sheet',
  label: 'Sheet',
  load: () => import('./Sheet.vue'),
  keys: [
    {
      title: 'Selecting on Sheet',
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
      title: 'Arranging on Sheet',
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
        ['U', 'Line up'],
        ['H', 'History'],
      ],
    },
  ],
}
