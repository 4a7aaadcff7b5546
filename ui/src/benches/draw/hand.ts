import { computed, ref, shallowRef } from 'vue'
import type { Ref } from 'vue'
import type { Mark } from '@/api/types'
import { say } from '@/ground/messages'
import { useReel } from '@/reel/store'
import { useDrawing } from './drawing'
import type { InkSurface } from './inkSurface'
import type { Place, Touch } from './pageView'
import { asPen, usePens } from './pens'
import { Steadied } from './steadying'
import type { Point } from './sweep'
import { useTaken } from './taken'

const TURN = Math.PI / 12
/** Points nearer than this, in pixels of the canvas, are one. */
const NEAR = 0.4

/** The box of a figure that is pulled. */
export interface Pulled {
  from: Place
  to: Place
}

/** What the hand does on the page: lines under the pointer, and marks when it is lifted. */
export function useHand(ink: InkSurface, seenColor: (at: Place) => Promise<string>, words: Ref<Place | null>) {
  const store = useReel()
  const drawing = useDrawing()
  const pens = usePens()
  const taken = useTaken()
  const from = shallowRef<Place | null>(null)
  const pulled = shallowRef<Pulled | null>(null)
  const isDown = ref(false)
  let steadied: Steadied | null = null
  let last: Point | null = null

  const pen = computed(() => asPen(pens.pen, drawing.hand === 'rub'))
  const isHard = computed(() => pens.pen.hard)

  function width(touch: Touch): number {
    const follows = pens.pen.pressed / 100
    const share = 1 - follows + follows * Math.min(1, 2 * touch.pressure) * (1 + 0.5 * touch.tilt)
    return Math.max(0.25, pens.pen.width * (pens.pen.hard ? 1 : share))
  }

  /** In the middle of pixels, where only whole ones are drawn. */
  const placed = (at: Place): Place => (isHard.value ? { x: Math.floor(at.x) + 0.5, y: Math.floor(at.y) + 0.5 } : at)
  const point = (touch: Touch): Point => ({ ...placed(touch), width: width(touch) })

  function down(touch: Touch): void {
    if (!drawing.frame || drawing.smaller) {
      return
    }
    isDown.value = true
    from.value = placed(touch)
    const hand = drawing.hand
    if (hand === 'draw' || hand === 'rub') {
      ink.begin(pen.value, drawing.settings.mirroring)
      steadied = new Steadied(isHard.value ? 0 : pens.pen.steady)
      last = steadied.next(point(touch), 0)
      ink.add(last ? [last] : [])
    } else if (hand === 'line') {
      ink.begin(pen.value, drawing.settings.mirroring)
      ink.add([point(touch)], true)
    } else if (hand === 'take') {
      taken.down(touch)
    }
  }

  function move(touches: Touch[]): void {
    const touch = touches.at(-1)
    if (!isDown.value || !touch || !from.value) {
      return
    }
    switch (drawing.hand) {
      case 'draw':
      case 'rub':
        ink.add(
          touches
            .map((each) => steadied?.next(point(each), isHard.value ? 0.01 : NEAR) ?? null)
            .filter((each) => each !== null),
        )
        break
      case 'line':
        ink.add(
          [
            { ...from.value, width: pens.pen.width },
            { ...aligned(from.value, touch), width: pens.pen.width },
          ],
          true,
        )
        break
      case 'box':
      case 'round':
        pulled.value = { from: from.value, to: squared(from.value, touch) }
        break
      case 'take':
        taken.move(touch)
        break
      default:
    }
  }

  function up(touch: Touch): void {
    if (!isDown.value) {
      return
    }
    isDown.value = false
    switch (drawing.hand) {
      case 'draw':
      case 'rub': {
        const end = isHard.value ? null : steadied?.end(point(touch))
        ink.add(end && ink.live.value && ink.live.value.points.length > 1 ? [end] : [])
        stroke(ink.end())
        break
      }
      case 'line':
        stroke(ink.end())
        break
      case 'box':
      case 'round':
        if (pulled.value) figure(pulled.value)
        break
      case 'fill':
        fill(touch)
        break
      case 'pick':
        void pick(touch)
        break
      case 'words':
        words.value = { x: touch.x, y: touch.y }
        break
      case 'take':
        void taken.up()
        break
      default:
    }
    from.value = null
  }

  function giveUp(): void {
    const wasDown = isDown.value
    isDown.value = false
    pulled.value = from.value = null
    if (ink.live.value) {
      ink.giveUp()
    } else if (!wasDown || drawing.hand === 'take') {
      taken.letGo()
    }
  }

  function stroke(points: Point[]): void {
    if (points.length > 0) {
      const numbers = points.flatMap(({ x, y, width: wide }) => [x, y, wide])
      send({ type: 'stroke', pen: pen.value, points: numbers, mirroring: drawing.settings.mirroring })
    }
  }

  function figure(box: Pulled): void {
    const { body, inside, mirroring } = drawing.settings
    const mark: Mark = {
      type: 'figure',
      kind: drawing.hand === 'box' ? 'RECTANGLE' : 'ELLIPSE',
      pen: pen.value,
      x: box.from.x,
      y: box.from.y,
      toX: box.to.x,
      toY: box.to.y,
      line: body === 'full' ? 0 : pens.pen.width,
      fill: body === 'line' ? '' : body === 'full' ? pens.pen.color : inside,
      mirroring,
    }
    void drawing.make(mark).finally(() => (pulled.value = null))
    used()
  }

  function fill(at: Place): void {
    const { width: wide, height } = drawing.canvas
    if (at.x < 0 || at.y < 0 || at.x >= wide || at.y >= height) {
      say('Press on the page to fill something there.')
      return
    }
    const { tolerance, gap, corners, by } = drawing.settings
    send({
      type: 'pour',
      pen: pen.value,
      x: Math.floor(at.x),
      y: Math.floor(at.y),
      tolerance,
      gap,
      corners,
      by,
      under: 2,
    })
  }

  async function pick(at: Place): Promise<void> {
    const color = await seenColor(at)
    if (color !== '') {
      drawing.use(color)
      drawing.keepSwatch(color)
      drawing.hand = 'draw'
    }
  }

  function send(mark: Mark): void {
    void drawing.make(mark)
    used()
  }

  /** The color used last comes first among the swatches, once the reel has its own. */
  function used(): void {
    const color = pens.pen.color
    if (store.reel && store.reel.swatches.length > 0 && store.reel.swatches[0] !== color && drawing.hand !== 'rub') {
      drawing.keepSwatch(color)
    }
  }

  return { pen, pulled, isDown, down, move, up, giveUp }
}

export type Hand = ReturnType<typeof useHand>

/** Straight on by steps of 15 degrees, with Shift. */
function aligned(from: Place, to: Touch): Place {
  if (!to.shift) {
    return to
  }
  const far = Math.hypot(to.x - from.x, to.y - from.y)
  const angle = Math.round(Math.atan2(to.y - from.y, to.x - from.x) / TURN) * TURN
  return { x: from.x + far * Math.cos(angle), y: from.y + far * Math.sin(angle) }
}

function squared(from: Place, to: Touch): Place {
  if (!to.shift) {
    return to
  }
  const side = Math.max(Math.abs(to.x - from.x), Math.abs(to.y - from.y))
  return { x: from.x + Math.sign(to.x - from.x || 1) * side, y: from.y + Math.sign(to.y - from.y || 1) * side }
}
