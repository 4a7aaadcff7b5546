import { readdirSync, readFileSync } from 'node:fs'

const LETTERING = new URL('../core/src/main/resources/dobbin/lettering/', import.meta.url)
const ENDING = '-LICENSE.txt'

/** Makes one file of the licenses of the typefaces that words in pictures are set in. */
export function typefaceNotices() {
  const licenses = () =>
    readdirSync(LETTERING)
      .filter((name) => name.endsWith(ENDING))
      .sort()
      .map(
        (name) => `## ${name.slice(0, -ENDING.length)}\n\n${readFileSync(new URL(name, LETTERING), 'utf8').trim()}\n`,
      )
  return {
    name: 'typeface-notices',
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: 'notices/typefaces.txt', source: licenses().join('\n') })
    },
  }
}
