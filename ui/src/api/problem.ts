import { signedOut } from './session'
import type { ReelView } from './types'

/**
 * Why a request failed. `refused`: what was asked cannot be done, and the message says why. `stale`: the reel was changed
 * elsewhere meanwhile; `current` is how it stands. `signIn`: the password is asked for. `unreachable`: no answer. `broken`: the
 * server failed.
 */
export class Problem extends Error {
  private constructor(
    readonly kind: 'refused' | 'stale' | 'signIn' | 'unreachable' | 'broken',
    message: string,
    readonly current?: ReelView,
    options?: ErrorOptions,
  ) {
    super(message, options)
  }

  static unreachable(cause: unknown): Problem {
    return new Problem(
      'unreachable',
      'Dobbin’s server does not answer. Nothing you did before is lost; start it again, then go on.',
      undefined,
      { cause },
    )
  }

  static from(status: number, body: unknown): Problem {
    const problem = (typeof body === 'object' && body !== null ? body : {}) as {
      detail?: string
      current?: ReelView
      request?: string
    }
    const detail = problem.detail ?? `The server answered ${status}. Try again.`
    if (status === 401) {
      signedOut.value = true
      return new Problem('signIn', detail)
    }
    if (status === 409) {
      return new Problem('stale', detail, problem.current)
    }
    const inLog = status === 500 && problem.request ? ` This was request ${problem.request}.` : ''
    return new Problem(status >= 500 ? 'broken' : 'refused', detail + inLog)
  }
}

/** Field names as the interface calls them; the server speaks of its own. */
const FIELDS: [RegExp, string][] = [
  [/^delayMillis\b/, 'A delay in ms'],
  [/^budgetBytes\b/, 'The budget in bytes'],
  [/^width\b/, 'The width'],
  [/^colors\b/, 'The number of colors'],
  [/^name\b/, 'The name'],
  [/^matte\b/, 'The page color'],
  [/^height\b/, 'The height'],
  [/^totalMillis\b/, 'The total in ms'],
  [/^percent\b/, 'The percentage'],
  [/^times\b/, 'The number of times'],
  [/^keepEvery\b/, 'The step'],
  [/^size\b/, 'The size of the letters'],
  [/^text\b/, 'The text'],
  [/^frames\b/, 'The frames'],
  [/^frame\b/, 'The frame'],
  [/^cells\b/, 'The chosen cells'],
  [/^canvas\b/, 'The canvas'],
  [/^cutout\b/, 'The cut-out'],
  [/^cutouts\b/, 'The chosen cut-outs'],
  [/^keptColors\b/, 'The colors to keep'],
  [/^lastFrame\b/, 'The last frame'],
  [/^path\b/, 'The path'],
  [/^own\b/, 'The typeface'],
  [/^stills\b/, 'The stills'],
  [/^edits\b/, 'This change'],
  [/^later\b/, 'The place'],
  [/^sheet\b/, 'The sheet'],
  [/^columns\b/, 'How many lie side by side'],
  [/^padding\b/, 'The space around'],
  [/^alt\b/, 'What it shows'],
]

export function sentenceFor(failure: unknown): string {
  if (!(failure instanceof Error)) {
    return 'Something went wrong. Try again.'
  }
  const [pattern, name] = FIELDS.find(([field]) => field.test(failure.message)) ?? []
  const text = pattern && name ? failure.message.replace(pattern, name) : failure.message
  return /[.!?]$/.test(text) ? text : text + '.'
}
