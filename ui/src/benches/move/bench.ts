import type { Bench } from '@/ground/bench'

export const move: Bench = {
  name: 'move',
  label: 'Move',
  load: () => import('./Move.vue'),
  keys: [
    {
      title: 'On the stage of Move',
      keys: [
        ['← → ↑ ↓', 'Move what is chosen by a step; with Shift by ten'],
        ['Page up Page down', 'One frame back or on'],
        ['+ − 0', 'Zoom in, zoom out, fit the canvas in'],
        ['Shift + drag', 'Straight across or down; turn by 15°'],
        ['Alt + drag', 'No snapping; size without keeping the shape'],
        ['Ctrl + C V', 'Copy cut-outs, paste at the same place'],
        ['Ctrl + G', 'Group'],
        ['Delete', 'Remove the cut-outs'],
        ['← → ↑ ↓ Enter', 'With a tool: move the cross, set a point'],
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
  ],
}
