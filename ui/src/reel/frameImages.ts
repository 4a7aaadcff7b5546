import { onScopeDispose, shallowReactive, toRaw, toValue, watchEffect } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { wantPicture } from '@/api/pictureQueue'
import type { Want, Wanted } from '@/api/pictureQueue'
import { frameNowUrl, frameUrl } from '@/api/urls'

/** So many of them stand in the queue, so that the order stays free to change. */
const AT_ONCE = 3

/**
 * Loads pictures of frames ahead of need, the nearest to `from` first. Pictures of one look are loaded once; what is no
 * longer wanted is let go.
 *
 * @param want how the one at `from` is wanted, and the others
 */
export function useFrameImages(
  reel: MaybeRefOrGetter<string | undefined>,
  wanted: MaybeRefOrGetter<string[]>,
  width: MaybeRefOrGetter<number>,
  from: MaybeRefOrGetter<number>,
  want: { first: Want; others: Want },
) {
  const loaded = shallowReactive(new Map<string, HTMLImageElement>())
  const loading = new Map<string, Wanted>()
  const failed = new Set<string>()
  let generation = ''

  const first = (): string | undefined => toValue(wanted)[toValue(from)]

  function giveUp(drawn: string): void {
    loading.get(drawn)?.giveUp()
    loading.delete(drawn)
  }

  watchEffect(() => {
    const now = `${toValue(reel)} ${toValue(width)}`
    const keep = new Set(now === generation ? toValue(wanted) : [])
    if (now !== generation) {
      generation = now
      failed.clear()
    }
    for (const drawn of [...loaded.keys()].filter((each) => !keep.has(each))) {
      loaded.delete(drawn)
    }
    for (const drawn of [...loading.keys()].filter((each) => !keep.has(each))) {
      giveUp(drawn)
    }
    loadMore()
  })

  function loadMore(): void {
    const id = toValue(reel)
    const all = toValue(wanted)
    const start = toValue(from)
    const ready = toRaw(loaded)
    for (let i = 0; id && i < all.length && (loading.size < AT_ONCE || i === 0); i++) {
      const drawn = all[(start + i) % all.length] as string
      if (!ready.has(drawn) && !loading.has(drawn) && !failed.has(drawn)) {
        void load(id, drawn)
      }
    }
  }

  async function load(id: string, drawn: string): Promise<void> {
    const url = want.first === 'now' && drawn === first() ? frameNowUrl : frameUrl
    const mine = wantPicture(url(id, drawn, toValue(width)), () => (drawn === first() ? want.first : want.others))
    loading.set(drawn, mine)
    try {
      const image = await mine.image
      loaded.set(drawn, image)
    } catch {
      // A look that is gone by now, after an edit or without a server; its card says the rest.
      failed.add(drawn)
    }
    loading.delete(drawn)
    loadMore()
  }

  onScopeDispose(() => [...loading.keys()].forEach(giveUp))

  return loaded
}
