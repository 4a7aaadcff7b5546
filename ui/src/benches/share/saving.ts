import { reactive } from 'vue'
import { Problem } from '@/api/problem'
import type { FormRequest } from '@/api/types'
import { say, sayProblem } from '@/ground/messages'
import { bytesText } from '@/parts/format'

/** What is being saved: the loop in some form, or all of the reel. */
export type Saved = 'form' | 'work'

/** A file that is made and fetched, to be saved by the browser once it is whole. One at a time. */
export const saving = reactive({ what: null as Saved | null, bytes: 0 })
let stopper = new AbortController()

export function stopSaving(): void {
  stopper.abort()
}

/** How a sheet is divided where nobody says. */
const EVEN = { columns: 0, padding: 0 }

/** @param frames those alone, by their ids; all where there are none */
export function saveForm(reel: string, form: string, name: string, frames: number[] = [], sheet = EVEN): Promise<void> {
  return save('form', `/api/reels/${reel}/forms/${form}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name, frames, sheet } satisfies FormRequest),
  })
}

/** Saves the reel with all it is made of. @param history whether what was done to it comes along */
export function saveWork(reel: string, history: boolean): Promise<void> {
  return save('work', `/api/reels/${reel}/file?history=${history}`, {})
}

async function save(what: Saved, address: string, request: RequestInit): Promise<void> {
  stopper = new AbortController()
  Object.assign(saving, { what, bytes: 0 })
  try {
    const answered = await fetch(address, { ...request, signal: stopper.signal })
    if (!answered.ok || !answered.body) {
      throw Problem.from(answered.status, await answered.json().catch(() => null))
    }
    const parts: BlobPart[] = []
    const reader = answered.body.getReader()
    for (let part = await reader.read(); !part.done; part = await reader.read()) {
      parts.push(part.value)
      saving.bytes += part.value.byteLength
    }
    const file = nameIn(answered.headers.get('Content-Disposition') ?? '')
    offer(new Blob(parts), file)
    say(`“${file}” is saved: ${bytesText(saving.bytes)}.`)
  } catch (failure) {
    if (!stopper.signal.aborted) {
      sayProblem(failure instanceof Problem ? failure : Problem.unreachable(failure))
    }
  } finally {
    saving.what = null
  }
}

/** The file name as HTTP writes it: letters beyond ASCII are encoded. */
function nameIn(disposition: string): string {
  const encoded = /filename\*=UTF-8''([^;]+)/i.exec(disposition)?.[1]
  return encoded ? decodeURIComponent(encoded) : (/filename="([^"]+)"/.exec(disposition)?.[1] ?? 'loop')
}

function offer(file: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  // The browser has taken it by then.
  window.setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}
