import { limits } from '@/api/limits'
import { within } from '@/parts/numbers'
/** The units people set delays in. A frame a second more or less is asked for in any, and kept in whole milliseconds. */
export const UNITS = {
  ms: {
    label: 'ms',
    ...limits.SetDelay.delayMillis,
    step: 10,
    decimals: 0,
    fromMillis: (millis: number): number => millis,
    toMillis: (value: number): number => value,
  },
  s: {
    label: 's',
    min: limits.SetDelay.delayMillis.min / 1000,
    max: limits.SetDelay.delayMillis.max / 1000,
    step: 0.1,
    decimals: 3,
    fromMillis: (millis: number): number => millis / 1000,
    toMillis: (value: number): number => Math.round(value * 1000),
  },
  fps: {
    label: 'frames/s',
    min: 0.01,
    max: 100,
    step: 1,
    decimals: 2,
    fromMillis: (millis: number): number => Math.round(100_000 / millis) / 100,
    toMillis: (value: number): number => within(limits.SetDelay.delayMillis, Math.round(1000 / value)),
  },
}

export type Unit = keyof typeof UNITS
