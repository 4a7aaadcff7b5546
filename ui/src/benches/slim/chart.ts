import type { TrialView } from '@/api/types'

/** Where weights and errors lie on the chart. Weight goes across on a logarithmic axis, error downward by its root. */
export interface Scales {
  x: (bytes: number) => number
  y: (error: number) => number
  bytesTicks: number[]
  errorTicks: number[]
}

export interface Area {
  left: number
  top: number
  width: number
  height: number
}

const TICKS = [1, 2, 5]
const ERROR_TICKS = [0, 0.5, 1.5, 3, 6, 12, 25, 50]
const LEAST_SPAN = 4

export function scalesOf(trials: TrialView[], budget: number, area: Area): Scales {
  const weights = [...trials.map((trial) => trial.bytes), budget]
  let least = Math.min(...weights) / 1.3
  let most = Math.max(...weights) * 1.3
  if (most / least < LEAST_SPAN) {
    const middle = Math.sqrt(most * least)
    least = middle / Math.sqrt(LEAST_SPAN)
    most = middle * Math.sqrt(LEAST_SPAN)
  }
  const worst = Math.max(2, ...trials.map((trial) => trial.error)) * 1.15
  const x = (bytes: number): number => area.left + (area.width * Math.log(bytes / least)) / Math.log(most / least)
  const y = (error: number): number => area.top + area.height * Math.sqrt(error / worst)
  const bytesTicks: number[] = []
  for (let power = 10 ** Math.floor(Math.log10(least)); power <= most; power *= 10) {
    bytesTicks.push(...TICKS.map((tick) => tick * power).filter((tick) => tick >= least && tick <= most))
  }
  return { x, y, bytesTicks, errorTicks: ERROR_TICKS.filter((error) => error <= worst) }
}

/** The steps along the edge of what can be had, from the lightest to the best-looking. */
export function edgePath(edge: TrialView[], { x, y }: Scales): string {
  return edge
    .map((trial, i) => {
      const before = edge[i - 1]
      const step = before ? `L${x(trial.bytes)} ${y(before.error)}` : ''
      return `${i === 0 ? 'M' : step + 'L'}${x(trial.bytes)} ${y(trial.error)}`
    })
    .join('')
}
