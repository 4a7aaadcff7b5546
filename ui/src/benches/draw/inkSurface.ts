import { computed, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { Mirroring, Pen } from '@/api/types'
import { sayProblem } from '@/ground/messages'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useDrawing } from './drawing'
import { blank, copyOf, inkName, inkPixels } from './layers'
import { LiveStroke } from './liveStroke'
import type { Point } from './sweep'

/**
 * The ink of the page that is drawn on: as the server told it last, with what was drawn since on it. The server's picture takes
 * its place once all marks on the page are answered, so that nothing jumps in between.
 */
export function useInkSurface(surface: Ref<HTMLCanvasElement | null>) {
  const store = useReel()
  const drawing = useDrawing()
  const playhead = usePlayhead()
  const base = shallowRef<ImageData>(blank({ width: 1, height: 1 }))
  let shown = base.value
  /** Which page's ink is here, and which of its pictures. */
  const here = ref('')
  const picture = ref('')
  const live = shallowRef<LiveStroke | null>(null)
  let loading = 0

  const page = computed(() => {
    const frame = drawing.frame
    return frame && store.reel ? `${store.reel.id} ${frame.id}` : ''
  })
  const waits = computed(() => drawing.waiting.some((each) => each.frames.includes(drawing.frame?.id ?? 0)))
  const told = computed(() => (drawing.frame ? inkName(drawing.frame.ink) : ''))

  watch(
    [
      page,
      told,
      waits,
      () => playhead.playing,
      () => drawing.failed.length,
      () => drawing.canvas.width,
      () => drawing.canvas.height,
      surface,
    ],
    () => void load(),
    { immediate: true },
  )

  async function load(): Promise<void> {
    const frame = drawing.frame
    const reel = store.reel
    const mine = ++loading
    if (!frame || !reel || playhead.playing || (waits.value && here.value === page.value)) {
      return
    }
    const of = page.value
    const name = told.value
    try {
      const pixels = await inkPixels(reel.id, frame.ink, reel.canvas)
      if (mine === loading && live.value === null && of === page.value) {
        take(pixels, of)
        picture.value = name
      }
    } catch (failure) {
      sayProblem(failure)
    }
  }

  function take(pixels: ImageData, of: string): void {
    base.value = copyOf(pixels)
    shown = copyOf(pixels)
    here.value = of
    paint()
  }

  function paint(): void {
    surface.value?.getContext('2d')?.putImageData(shown, 0, 0)
  }

  function begin(pen: Pen, mirroring: Mirroring): void {
    loading++
    live.value = new LiveStroke(base.value, shown, pen, mirroring)
  }

  /** @param restarts whether the line is drawn anew through these points */
  function add(points: Point[], restarts = false): void {
    if (live.value && points.length > 0) {
      const box = live.value.add(points, restarts)
      if (box.left < box.right && box.top < box.bottom) {
        surface.value
          ?.getContext('2d')
          ?.putImageData(shown, 0, 0, box.left, box.top, box.right - box.left, box.bottom - box.top)
      }
    }
  }

  /** @return the points of the stroke, which is ink from now on */
  function end(): Point[] {
    const points = live.value?.points ?? []
    live.value = null
    base.value = copyOf(shown)
    return points
  }

  function giveUp(): void {
    live.value = null
    shown = copyOf(base.value)
    paint()
    void load()
  }

  return { base, here, picture, live, begin, add, end, giveUp }
}

export type InkSurface = ReturnType<typeof useInkSurface>
