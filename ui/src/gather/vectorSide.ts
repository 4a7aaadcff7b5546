import { shallowRef } from 'vue'
import type { Gatherable } from './gatherable'

/** Drawings that can be drawn at any size, until one has said at which. */
export const asked = shallowRef<{ files: Gatherable[]; answer: (side: number | null) => void } | null>(null)

const isVector = ({ file }: Gatherable): boolean => file.type === 'image/svg+xml' || /\.svg$/i.test(file.name)

/** One question at a time. */
let turn: Promise<unknown> = Promise.resolve()

/** @return the files, vector drawings with the size they are to have, or without these where one did not want to say */
export async function sized(files: Gatherable[]): Promise<Gatherable[]> {
  const vectors = files.filter(isVector)
  if (vectors.length === 0) {
    return files
  }
  const answered = turn.then(() => new Promise<number | null>((answer) => (asked.value = { files: vectors, answer })))
  turn = answered.then(() => (asked.value = null))
  const side = await answered
  return files.flatMap((each) => (!isVector(each) ? [each] : side === null ? [] : [{ ...each, side }]))
}
