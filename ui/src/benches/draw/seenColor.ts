import { wantPicture } from '@/api/pictureQueue'
import { frameUrl } from '@/api/urls'
import { say } from '@/ground/messages'
import { useReel } from '@/reel/store'
import { useDrawing } from './drawing'
import type { Place } from './pageView'

const MOST_WIDE = 1600

/** @return finds the color that is seen at a place, as six digits: of the frame as it is drawn, ink and all; '' where there is none */
export function useSeenColor(): (at: Place) => Promise<string> {
  const store = useReel()
  const drawing = useDrawing()

  return async function seenColor(at) {
    const frame = drawing.frame
    const { width: wide, height: high } = drawing.canvas
    if (!frame || !store.reel || at.x < 0 || at.y < 0 || at.x >= wide || at.y >= high) {
      say('Press on the page to pick up a color there.')
      return ''
    }
    await store.settled()
    const now = store.frames.find((each) => each.id === frame.id) ?? frame
    const image = await wantPicture(frameUrl(store.reel.id, now.drawn, Math.min(MOST_WIDE, wide)), () => 'now').image
    const pen = new OffscreenCanvas(1, 1).getContext('2d')!
    const scale = image.naturalWidth / wide
    pen.drawImage(image, -Math.floor(at.x * scale), -Math.floor(at.y * scale))
    const [red = 0, green = 0, blue = 0, alpha = 0] = pen.getImageData(0, 0, 1, 1).data
    if (alpha === 0) {
      say('Nothing is there to pick a color from.')
      return ''
    }
    return [red, green, blue].map((each) => each.toString(16).padStart(2, '0')).join('')
  }
}
