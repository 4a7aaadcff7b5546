import { useElementSize, useScroll } from '@vueuse/core'
import { computed } from 'vue'
import type { Ref } from 'vue'
import type { FrameView, Run, Size } from '@/api/types'

const GAP = 10
const PAD = 6
const FACTS = 28
const BAND = 29
const SHORTEST = 0.25
const TALLEST = 1.25
/** How wide cards are when nobody has said: as wide as lets all be seen, within these. */
const NARROWEST = 124
const WIDEST = 300
/** Rows kept ready above and below what is seen. */
const SPARE_ROWS = 2

export interface Box {
  x: number
  y: number
  width: number
  height: number
}

/** A stretch of a named run in one row. */
export interface Band {
  run: Run
  /** Whether the run begins here; later rows go on with it. */
  begins: boolean
  box: Box
}

/**
 * Where the cards of a sheet stand. All are of one size, so any card's place follows from its number alone, and only those
 * in view need to be there; rows that a named run crosses are higher by its band.
 *
 * @param scroller the element the sheet scrolls in
 * @param wantedWidth of a card, or 0 for as wide as lets all be seen
 */
export function useSheetLayout(
  scroller: Ref<HTMLElement | null>,
  frames: () => FrameView[],
  runs: () => Run[],
  canvas: () => Size,
  wantedWidth: () => number,
) {
  const { width, height } = useElementSize(scroller)
  const scroll = useScroll(scroller)

  const columnsFor = (cardWidth: number): number => Math.max(1, Math.floor((width.value + GAP) / (cardWidth + GAP)))
  const widthIn = (across: number): number => Math.floor((width.value - GAP * (across - 1)) / across)
  const pictureHeightAt = (cardWidth: number): number => {
    const ratio = canvas().height / canvas().width
    return Math.round((cardWidth - 2 * PAD) * Math.min(TALLEST, Math.max(SHORTEST, ratio)))
  }

  /** The fewest columns with which all rows are in view at once. */
  function columnsToSeeAll(): number {
    const most = columnsFor(NARROWEST)
    for (let across = columnsFor(WIDEST); across < most; across++) {
      const rowHeight = pictureHeightAt(widthIn(across)) + PAD + FACTS + GAP
      const banded = runs().length > 0 ? BAND : 0
      if (Math.ceil(frames().length / across) * (rowHeight + banded) <= height.value) {
        return across
      }
    }
    return most
  }

  const columns = computed(() => (wantedWidth() > 0 ? columnsFor(wantedWidth()) : columnsToSeeAll()))
  const cardWidth = computed(() => Math.min(widthIn(columns.value), Math.max(WIDEST, wantedWidth())))
  const pictureHeight = computed(() => pictureHeightAt(cardWidth.value))
  const cardHeight = computed(() => pictureHeight.value + PAD + FACTS)
  const rows = computed(() => Math.ceil(frames().length / columns.value))

  /** The top of each row's cards, and of one more that is not there. */
  const tops = computed(() => {
    const all = frames()
    const across = columns.value
    const found: number[] = []
    let y = 0
    for (let row = 0; row <= rows.value; row++) {
      const crossed = all.slice(row * across, (row + 1) * across).some((frame) => frame.run !== 0)
      y += crossed ? BAND : 0
      found.push(y)
      y += cardHeight.value + GAP
    }
    return found
  })
  const totalHeight = computed(() => (rows.value === 0 ? 0 : (tops.value[rows.value - 1] as number) + cardHeight.value))

  function boxOf(index: number): Box {
    const row = Math.floor(index / columns.value)
    return {
      x: (index % columns.value) * (cardWidth.value + GAP),
      y: tops.value[row] ?? 0,
      width: cardWidth.value,
      height: cardHeight.value,
    }
  }

  function rowAt(y: number): number {
    return Math.max(
      0,
      Math.min(
        rows.value - 1,
        tops.value.slice(0, -1).findLastIndex((top) => top - BAND <= y),
      ),
    )
  }

  const inView = computed(() => {
    const first = Math.max(0, rowAt(scroll.y.value) - SPARE_ROWS)
    const last = Math.min(rows.value, rowAt(scroll.y.value + height.value) + 1 + SPARE_ROWS)
    return frames()
      .slice(first * columns.value, last * columns.value)
      .map((frame, i) => ({ frame, index: first * columns.value + i }))
  })

  const bands = computed(() => {
    const names = new Map(runs().map((run) => [run.id, run]))
    const found: Band[] = []
    for (const { frame, index } of inView.value) {
      const run = names.get(frame.run)
      const before = index % columns.value === 0 ? 0 : frames()[index - 1]?.run
      const box = boxOf(index)
      const last = found.at(-1)
      if (run && before === run.id && last) {
        last.box.width = box.x + box.width - last.box.x
      } else if (run) {
        const begins = frames()[index - 1]?.run !== run.id
        found.push({ run, begins, box: { ...box, y: box.y - BAND + 2, height: BAND - 5 } })
      }
    }
    return found
  })

  /** @return how many cards come before a point of the sheet, as for dropping there */
  function gapAt(x: number, y: number): number {
    if (frames().length === 0) {
      return 0
    }
    const row = rowAt(y)
    const beyond = y > (tops.value[row] as number) + cardHeight.value + GAP
    const column = beyond ? columns.value : Math.round(x / (cardWidth.value + GAP))
    return Math.min(frames().length, row * columns.value + Math.max(0, Math.min(columns.value, column)))
  }

  /** Where the mark of a gap stands: at the left of the next card, or at the end of the row the pointer is in. */
  function markOf(gap: number, y: number): Box {
    const atRowEnd = gap > 0 && gap % columns.value === 0 && Math.floor(gap / columns.value) > rowAt(y)
    const atEnd = gap === frames().length && gap > 0
    const box = boxOf(atRowEnd || atEnd ? gap - 1 : gap)
    const x = atRowEnd || atEnd ? box.x + box.width + 3 : box.x - 7
    return { x, y: box.y, width: 4, height: box.height }
  }

  /** @return the numbers of the cards a rectangle touches */
  function touchedBy(area: Box): number[] {
    return frames()
      .map((_, index) => index)
      .filter((index) => {
        const box = boxOf(index)
        return (
          box.x < area.x + area.width &&
          area.x < box.x + box.width &&
          box.y < area.y + area.height &&
          area.y < box.y + box.height
        )
      })
  }

  /** Which card an arrow key leads to; null where the key leads nowhere. */
  function neighborOf(index: number, key: string): number | null {
    const to = {
      ArrowLeft: index - 1,
      ArrowRight: index + 1,
      ArrowUp: index - columns.value,
      ArrowDown: index + columns.value,
      Home: 0,
      End: frames().length - 1,
    }[key]
    return to === undefined || to < 0 || to >= frames().length ? null : to
  }

  /** Scrolls as far as needed for a card to be seen whole. */
  function reveal(index: number): void {
    const element = scroller.value
    const box = boxOf(index)
    if (element && box.y - BAND < element.scrollTop) {
      element.scrollTop = Math.max(0, box.y - BAND)
    } else if (element && box.y + box.height + GAP > element.scrollTop + element.clientHeight) {
      element.scrollTop = box.y + box.height + GAP - element.clientHeight
    }
    // What is in view is known at once, not when the browser says that it has scrolled.
    scroll.measure()
  }

  return { cardWidth, pictureHeight, totalHeight, inView, bands, boxOf, gapAt, markOf, touchedBy, neighborOf, reveal }
}

export type SheetLayout = ReturnType<typeof useSheetLayout>

export const styleOf = (box: Box): Record<string, string> => ({
  left: `${box.x}px`,
  top: `${box.y}px`,
  width: `${box.width}px`,
  height: `${box.height}px`,
})
