import type { Coloring, Delivery, Encoding, TrialView } from '@/api/types'

/** How the settings of the engine are called here. */
export const DITHERS: { value: Delivery['dither']; title: string; about: string }[] = [
  { value: 'NONE', title: 'none', about: 'Flat areas, bands in skies. The lightest.' },
  { value: 'FLOYD_STEINBERG', title: 'Floyd-Steinberg', about: 'Fine grain, the truest colors.' },
  { value: 'SIERRA_LITE', title: 'Sierra lite', about: 'Fine grain, a little lighter. The usual one.' },
  { value: 'ATKINSON', title: 'Atkinson', about: 'Crisp grain, clean lights and darks.' },
  { value: 'BAYER', title: 'Bayer', about: 'A regular weave that stays still.' },
  { value: 'BLUE_NOISE', title: 'blue noise', about: 'Even grain that stays still.' },
]

export const CHOICES: { value: Coloring['choice']; title: string; about: string }[] = [
  { value: 'SEEN', title: 'as seen', about: 'Those that look most like the pictures.' },
  { value: 'VIVID', title: 'vivid', about: 'Strong colors count for more than their share.' },
  { value: 'GRAYS', title: 'grays', about: 'Without color.' },
  { value: 'WEB', title: 'web-safe', about: 'Out of the 216 with six steps a channel.' },
  { value: 'OWN', title: 'your own', about: 'Colors you bring or settle below.' },
]

export const PALETTES: { value: Encoding['palette']; title: string; about: string }[] = [
  { value: 'AUTO', title: 'chosen', about: 'One for the loop where that looks as good, else new ones where they pay.' },
  { value: 'LOOP', title: 'one for the loop', about: 'Lightest, and nothing flickers.' },
  { value: 'FRAME', title: 'one a frame', about: 'Truest where colors change; 768 bytes a frame more.' },
]

const titleOf = <T>(all: { value: T; title: string }[], value: T): string =>
  all.find((each) => each.value === value)?.title ?? ''

export const ditherText = (delivery: Delivery): string =>
  delivery.dither === 'NONE'
    ? 'no dithering'
    : `${titleOf(DITHERS, delivery.dither)} ${delivery.encoding.ditherAmount} %`

export const choiceText = (delivery: Delivery): string => titleOf(CHOICES, delivery.coloring.choice)

export const everyText = (every: number): string => (every === 1 ? 'every frame' : `one frame in ${every}`)

/** All that a trial was set to, in a few words. */
export function trialText(trial: TrialView): string {
  const { delivery } = trial
  return [
    `${delivery.colors} colors`,
    delivery.coloring.choice === 'SEEN' ? '' : choiceText(delivery),
    ditherText(delivery),
    `tolerance ${delivery.encoding.tolerance}`,
    `${trial.width} × ${trial.height}`,
    delivery.framing.every === 1 ? '' : everyText(delivery.framing.every),
  ]
    .filter((part) => part !== '')
    .join(' · ')
}

/** How plain the error is to see. */
export function seenText(error: number, marks: { unseen: number; seenWhenLookedFor: number }): string {
  return error <= marks.unseen ? 'not seen' : error <= marks.seenWhenLookedFor ? 'seen when looked for' : 'plain to see'
}
