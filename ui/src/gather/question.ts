import { shallowRef } from 'vue'
import type { Gatherable } from './gatherable'

/** Something to choose of some of the files, before they are read. One question at a time. */
export function questionOf<Answer>(
  isMeant: (file: Gatherable) => boolean,
  answered: (file: Gatherable, answer: Answer) => Gatherable,
) {
  /** The files it is about, until one has answered. */
  const asked = shallowRef<{ files: Gatherable[]; answer: (answer: Answer | null) => void } | null>(null)
  let turn: Promise<unknown> = Promise.resolve()

  /** @return the files as they are to be read, without those it is about where one did not want to say */
  async function settled(files: Gatherable[]): Promise<Gatherable[]> {
    const meant = files.filter(isMeant)
    if (meant.length === 0) {
      return files
    }
    const said = turn.then(() => new Promise<Answer | null>((answer) => (asked.value = { files: meant, answer })))
    turn = said.then(() => (asked.value = null))
    const answer = await said
    return files.flatMap((each) => (!isMeant(each) ? [each] : answer === null ? [] : [answered(each, answer)]))
  }

  return { asked, settled }
}
