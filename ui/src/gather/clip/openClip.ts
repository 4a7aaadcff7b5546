import type { Clip } from './clip'
import { byDecoder } from './decoding'
import { bySeeking } from './seeking'

/** @throws Error with a sentence, where the browser cannot read it */
export async function openClip(file: File): Promise<Clip> {
  const clip = (await byDecoder(file).catch(() => null)) ?? (await bySeeking(file))
  if (!(clip.length > 0)) {
    clip.close()
    throw new Error(`“${file.name}” shows no pictures.`)
  }
  return clip
}
