import type { Run } from '@/api/types'

const TONES = 5

/** The color of a run's band, the same wherever it shows; variables for a style. */
export function runTone(run: Run): Record<string, string> {
  const tone = (run.id % TONES) + 1
  return { '--tone': `var(--run-${tone})`, '--on-tone': 'var(--on-run)' }
}
