import { ref } from 'vue'
import { sentenceFor } from '@/api/problem'

export interface Message {
  text: string
  kind: 'said' | 'problem'
  /** One thing to do about it. */
  action?: { label: string; run: () => void }
}

/** What the application last said to the person, at the foot of the page. */
export const message = ref<Message | null>(null)

export function say(text: string, action?: Message['action']): void {
  message.value = { text, kind: 'said', action }
}

/** Shows why something failed; for every promise nobody else waits for. */
export function sayProblem(failure: unknown): void {
  message.value = { text: sentenceFor(failure), kind: 'problem' }
}
