/**
 * Pictures come over few connections, since a browser has six to a server and edits must always find one. So they wait
 * here for their turn, and what nobody wants any more is given up, under way or not.
 */

/** How a picture is wanted: somebody waits for this very one, it is in view, or it will be wanted. */
export type Want = 'now' | 'seen' | 'ahead'

export interface Wanted {
  /** Loaded and decoded; rejected where there is none, never settled once it is given up. */
  image: Promise<HTMLImageElement>
  giveUp: () => void
}

interface Wish {
  url: string
  want: () => Want
  image: HTMLImageElement | null
  done: (image: HTMLImageElement) => void
  failed: (reason: unknown) => void
}

const AT_ONCE = 3
const RANKS: Want[] = ['now', 'seen', 'ahead']

const waiting: Wish[] = []
const underWay = new Set<Wish>()

/** @param want asked again whenever there is room, since it may change while the picture waits */
export function wantPicture(url: string, want: () => Want): Wanted {
  const wish: Wish = { url, want, image: null, done: () => {}, failed: () => {} }
  const image = new Promise<HTMLImageElement>((done, failed) => Object.assign(wish, { done, failed }))
  waiting.push(wish)
  // What is asked for at the same moment is put in order first.
  queueMicrotask(begin)
  return { image, giveUp: () => giveUp(wish) }
}

function giveUp(wish: Wish): void {
  if (underWay.has(wish)) {
    wish.image?.removeAttribute('src')
    end(wish)
  } else {
    remove(wish)
  }
}

function remove(wish: Wish): void {
  const at = waiting.indexOf(wish)
  if (at >= 0) {
    waiting.splice(at, 1)
  }
}

/** What somebody waits for need not wait for a connection, and comes alone: whatever else is drawn would make it late. */
function begin(): void {
  for (let next = first(); next && hasRoom(next); next = first()) {
    remove(next)
    underWay.add(next)
    void load(next)
  }
}

function hasRoom(next: Wish): boolean {
  const alone = [...underWay].some((wish) => wish.want() === 'now')
  return next.want() === 'now' ? underWay.size <= AT_ONCE : !alone && underWay.size < AT_ONCE
}

function first(): Wish | undefined {
  const ranks = waiting.map((wish) => RANKS.indexOf(wish.want()))
  return waiting[ranks.indexOf(Math.min(...ranks))]
}

async function load(wish: Wish): Promise<void> {
  const image = new Image()
  wish.image = image
  image.fetchPriority = wish.want() === 'ahead' ? 'low' : 'high'
  image.src = wish.url
  try {
    await image.decode()
    if (underWay.has(wish)) {
      wish.done(image)
    }
  } catch (failure) {
    if (underWay.has(wish)) {
      wish.failed(failure)
    }
  } finally {
    end(wish)
  }
}

function end(wish: Wish): void {
  if (underWay.delete(wish)) {
    begin()
  }
}
