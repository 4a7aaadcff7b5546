/**
 * Which card an arrow key leads to from `from`, by where the cards really stand.
 *
 * @return null where the key leads nowhere
 */
export function neighborOf(grid: HTMLElement, ids: number[], from: number, key: string): number | null {
  const at = ids.indexOf(from)
  const columns = columnsOf(grid)
  const to = {
    ArrowLeft: at - 1,
    ArrowRight: at + 1,
    ArrowUp: at - columns,
    ArrowDown: at + columns,
    Home: 0,
    End: ids.length - 1,
  }[key]
  return to === undefined ? null : (ids[to] ?? null)
}

function columnsOf(grid: HTMLElement): number {
  return getComputedStyle(grid).gridTemplateColumns.split(' ').length
}
