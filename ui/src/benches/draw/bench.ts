import type { Bench } from '@/ground/bench'

export const draw: Bench = {
  name: 'draw',
  label: 'Draw',
  load: () => import('./Draw.vue'),
  keys: [
    {
      title: 'On Draw',
      keys: [
        ['N', 'A new empty page after this one'],
        ['Shift + N', 'A new page that starts as a copy of this one'],
        ['K', 'A new page that keeps the still'],
        [', .', 'Flip to the page before or after'],
        ['1 to 9', 'Take a pen from the tray'],
        ['[ ]', 'Thinner, thicker'],
        ['D R F L B O W P T', 'Draw, rub out, fill, line, box, round, words, pick up a color, take ink'],
        ['S', 'What shines through, on or off'],
        ['M', 'Mirror left and right, up and down, both, off'],
        ['G', 'Pixel grid'],
        ['+ − 0 A', 'Zoom in, out, fit, one to one'],
        ['U I', 'Turn the page left or right'],
        ['Space + drag', 'Move the page'],
      ],
    },
    {
      title: 'Drawing by keys, with the focus on the easel',
      keys: [
        ['← → ↑ ↓', 'Move the pen by a pixel; with Shift by ten'],
        ['Enter', 'Put the pen down, lift it; set a corner; fill'],
        ['Escape', 'Give up what is begun'],
        ['Ctrl + C V', 'Copy the ink that is taken, paste it at the same place'],
        ['Delete', 'Remove the ink that is taken'],
      ],
    },
  ],
}
