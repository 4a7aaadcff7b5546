import { computed, ref, shallowReactive } from 'vue'
import type { Ref } from 'vue'
import { Problem } from '@/api/problem'
import type { ReelView } from '@/api/types'
import { sayProblem } from '@/ground/messages'

/** What became of a change: it was made, it was made after its reel was left, or it was not made. */
export type Outcome = 'made' | 'left' | 'failed'

/** The changes of one reel that are not answered yet. */
interface Line {
  name: string
  /** Of the last answer, where that is newer than what is open. */
  revision: number
  turn: Promise<unknown>
  waiting: Ref<number>
}

/**
 * Sends the changes of each reel one after the other, each based on the answer to the one before. A change belongs to the reel
 * that was open when it was made: it is sent to its end also after that one was left.
 *
 * @param open the reel that is open now
 * @param take gets what the server answered for the open reel
 */
export function useChanges(open: () => ReelView | null, take: (view: ReelView) => void) {
  const lines = shallowReactive(new Map<string, Line>())
  const waitingFor = (id: string | undefined): number => lines.get(id ?? '')?.waiting.value ?? 0
  /** How many changes of the open reel are not answered yet. */
  const saving = computed(() => waitingFor(open()?.id))
  const isUnsent = (): boolean => [...lines.values()].some((line) => line.waiting.value > 0)

  function lineOf(reel: ReelView): Line {
    const known = lines.get(reel.id)
    if (known) {
      known.name = reel.name
      return known
    }
    const line = { name: reel.name, revision: 0, turn: Promise.resolve(), waiting: ref(0) }
    lines.set(reel.id, line)
    return line
  }

  /** @param change sends it; is told the reel, and the revision that it is made on */
  function inTurn(change: (id: string, base: number) => Promise<ReelView>): Promise<Outcome> {
    const reel = open()
    if (!reel) {
      return Promise.resolve('failed')
    }
    const { id } = reel
    const line = lineOf(reel)
    line.waiting.value++
    const mine = line.turn.then(() => send(id, line, change))
    line.turn = mine
    return mine
  }

  async function send(
    id: string,
    line: Line,
    change: (id: string, base: number) => Promise<ReelView>,
  ): Promise<Outcome> {
    const now = open()
    try {
      const answered = await change(id, Math.max(line.revision, now?.id === id ? now.revision : 0))
      return takeOver(id, line, answered) ? 'made' : 'left'
    } catch (failure) {
      const isOpen =
        failure instanceof Problem && failure.current ? takeOver(id, line, failure.current) : open()?.id === id
      sayProblem(failure, isOpen ? '' : line.name)
      return 'failed'
    } finally {
      line.waiting.value--
      if (line.waiting.value === 0 && open()?.id !== id) {
        lines.delete(id)
      }
    }
  }

  /** @return whether the reel is open */
  function takeOver(id: string, line: Line, view: ReelView): boolean {
    line.revision = Math.max(line.revision, view.revision)
    if (open()?.id !== id) {
      return false
    }
    take(view)
    return true
  }

  /** Settled once all changes of the open reel that were made by now are answered. */
  const settled = async (): Promise<void> => void (await lines.get(open()?.id ?? '')?.turn)

  return { saving, isUnsent, inTurn, settled }
}
