import { useElementSize } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowReactive, watch } from 'vue'
import type { ComputedRef, Ref } from 'vue'
import { Problem, sentenceFor } from '@/api/problem'

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

/**
 * Shows why something failed; for every promise nobody else waits for.
 *
 * @param reel the name of the reel it is about, where that is not open any more
 */
export function sayProblem(failure: unknown, reel = ''): void {
  if (failure instanceof Problem && failure.kind === 'signIn') {
    // The page that asks for the password says all there is to say.
    return
  }
  const text = sentenceFor(failure)
  message.value = { text: reel === '' ? text : `A change of “${reel}” could not be saved. ${text}`, kind: 'problem' }
}

const bars = shallowReactive(new Set<Ref<number>>())

/** How high the bars are that lie at the foot of the page, in CSS pixels: a message stands above them. */
export const barsBelow = computed(() => Math.max(0, ...[...bars].map((height) => height.value)))

/** Keeps messages above a bar at the foot of the page, while the component lives. */
export function useBarBelow(bar: Ref<HTMLElement | null>): void {
  const { height } = useElementSize(bar, undefined, { box: 'border-box' })
  bars.add(height)
  onScopeDispose(() => bars.delete(height))
}

/** How many dialogs are open, which say problems themselves. */
const ownPlaces = ref(0)

/** The message, where the foot of the page is the place for it. */
export const atFoot = computed(() => (message.value?.kind === 'problem' && ownPlaces.value > 0 ? null : message.value))

/** @return the problem to be said in a dialog while it is shown, or empty */
export function useOwnPlace(shown: Ref<boolean>): ComputedRef<string> {
  watch(
    shown,
    (now, before = false) => {
      if (now === before) {
        return
      }
      ownPlaces.value += now ? 1 : -1
      // What was said before is not about it.
      if (message.value?.kind === 'problem') {
        message.value = null
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => (ownPlaces.value -= Number(shown.value)))
  return computed(() => (shown.value && message.value?.kind === 'problem' ? message.value.text : ''))
}
