/**
 * Asks for something that changes, as often as is needed. Answers may overtake one another: one that was asked for before
 * another that is here already is dropped.
 *
 * @param take gets the answer, unless a later one came first
 */
export function latest<Q extends unknown[], T>(
  ask: (...about: Q) => Promise<T>,
  take: (told: T, ...about: Q) => void,
): (...about: Q) => Promise<void> {
  let asked = 0
  let taken = 0
  return async (...about) => {
    const mine = ++asked
    const told = await ask(...about)
    if (mine > taken) {
      taken = mine
      take(told, ...about)
    }
  }
}
