import type { FrameView, Size } from '@/api/types'
import { isMoved } from '@/parts/aligned'
import { delayText } from '@/parts/format'

export interface Tag {
  text: string
  why: string
  tone: 'warn' | 'plain'
}

/** What is worth a word on a card, the most important first. */
export function tagsFor(frame: FrameView, canvas: Size): Tag[] {
  const tags: Tag[] = []
  const still = frame.content.kind === 'still' ? frame.content : null
  if (frame.leftOut) {
    tags.push({ text: 'left out', why: 'Kept here, but not in the loop or the file.', tone: 'plain' })
  }
  // A still that was placed when the canvas was cropped is larger on purpose.
  if (still && frame.otherSize && (frame.bare || still.fit.way !== 'PLACED')) {
    const size = `${still.size.width} × ${still.size.height}`
    tags.push({
      text: size,
      why: frame.bare
        ? `The canvas is ${canvas.width} × ${canvas.height}: some of it stays bare.`
        : `The still is ${size}, the canvas ${canvas.width} × ${canvas.height}.`,
      tone: frame.bare && still.fit.background === '' ? 'warn' : 'plain',
    })
  }
  if (still && isMoved(still.aligned)) {
    const sure = `${Math.round(100 * still.aligned.sure)} %`
    tags.push({
      text: `lined up ${sure}`,
      why: `The still is moved to lie on another one; it matches to ${sure}.`,
      tone: 'plain',
    })
  }
  if (!frame.leftOut && frame.shownMillis !== frame.fileMillis) {
    tags.push({
      text: `plays ${delayText(frame.shownMillis)}`,
      why: 'Browsers take delays under 20 ms for a mistake and play them at 100 ms.',
      tone: 'warn',
    })
  } else if (!frame.leftOut && frame.fileMillis !== frame.delayMillis) {
    const by = frame.fileMillis - frame.delayMillis
    tags.push({
      text: `in file ${by > 0 ? '+' : '−'}${Math.abs(by)} ms`,
      why: `The file will say ${delayText(frame.fileMillis)}: a GIF counts in hundredths of a second. The total stays true.`,
      tone: 'plain',
    })
  }
  return tags
}
