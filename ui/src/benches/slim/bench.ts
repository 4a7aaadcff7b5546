import type { Bench } from '@/ground/bench'

export const slim: Bench = {
  name: 'slim',
  label: 'Slim',
  load: () => import('./Slim.vue'),
  keys: [
    {
      title: 'On Slim',
      keys: [
        ['E', 'Explore: try a spread of settings'],
        ['B', 'Fit it to the budget'],
        ['1 2 3', 'Look at the file, the wipe, where it differs'],
        ['← →', 'On the chart: from dot to dot, by weight; on the wipe: move it'],
        ['Enter', 'On the chart: take the settings of the dot'],
        ['← → ↑ ↓', 'On the crop box: move it; with Alt size it, with Shift by ten'],
      ],
    },
  ],
}
