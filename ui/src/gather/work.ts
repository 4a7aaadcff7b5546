import { Problem } from '@/api/problem'
import type { Opening } from '@/api/types'
import type { Gatherable } from './gatherable'
import { gathering, inTurn } from './gathering'

/** Working files: each is a reel of its own, and is opened as one. */
export const isWork = (file: File): boolean => /\.dobbin$/i.test(file.name)

/** Puts each on the shelf and shows the last of them. */
export function openWorks(files: Gatherable[], show: (reel: string) => unknown): Promise<void> {
  return files.length === 0
    ? Promise.resolve()
    : inTurn(1, async (signal) => {
        const opened: string[] = []
        for (const { file } of files) {
          const reel = await openWork(file, signal)
          if (reel !== null) {
            opened.push(reel)
          }
        }
        const [last] = opened.slice(-1)
        if (last === undefined) {
          return 'Nothing was opened.'
        }
        await show(last)
        return opened.length === 1
          ? 'The working file is a new reel.'
          : `${opened.length} working files are new reels; this is the last.`
      })
}

/** They cannot become frames of another reel. */
export function refuseWorks(files: Gatherable[]): Promise<void> {
  return files.length === 0
    ? Promise.resolve()
    : inTurn(1, async () => {
        gathering.problems.push(
          ...files.map(
            ({ name }) => `“${name}” is a working file, a reel of its own. Drop it on the shelf to open it.`,
          ),
        )
        return Promise.resolve('Nothing was added.')
      })
}

/** @return the new reel; null where it was refused, which is among the problems by then, or given up */
async function openWork(file: File, signal: AbortSignal): Promise<string | null> {
  try {
    const answered = await fetch(`/api/reels/file?name=${encodeURIComponent(file.name)}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream' },
      body: file,
      signal,
    })
    if (!answered.ok || !answered.body) {
      throw Problem.from(answered.status, await answered.json().catch(() => null))
    }
    return await lastLine(answered.body)
  } catch (failure) {
    if (signal.aborted) {
      return null
    }
    const problem = failure instanceof Problem ? failure : Problem.unreachable(failure)
    if (problem.kind !== 'refused') {
      throw problem
    }
    gathering.problems.push(problem.message)
    return null
  }
}

/** The answer comes a line at a time. */
async function lastLine(body: ReadableStream<Uint8Array<ArrayBuffer>>): Promise<string | null> {
  const reader = body.pipeThrough(new TextDecoderStream()).getReader()
  let waiting = ''
  let reel: string | null = null
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (waiting + part.value).split('\n')
    waiting = lines.pop() ?? ''
    for (const line of lines) {
      const opening = JSON.parse(line) as Opening
      Object.assign(gathering, { read: opening.read, total: Math.max(1, opening.of) })
      if (opening.problem !== null) {
        gathering.problems.push(opening.problem)
      }
      reel = opening.reel
    }
  }
  return reel
}
