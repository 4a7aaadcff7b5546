import { shallowReactive, toValue, watchEffect } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { frameNowUrl, frameUrl } from '@/api/urls'

const AT_ONCE = 4

/**
 * Loads pictures of frames ahead of need, decoded, the nearest to `from` first; and that one alone, as it is waited for. Pictures of one look are loaded once; what
 * is no longer wanted is let go.
 */
export function useFrameImages(
  reel: MaybeRefOrGetter<string | undefined>,
  wanted: MaybeRefOrGetter<string[]>,
  width: MaybeRefOrGetter<number>,
  from: MaybeRefOrGetter<number>,
) {
  const loaded = shallowReactive(new Map<string, HTMLImageElement>())
  const loading = new Set<string>()
  const failed = new Set<string>()
  let generation = ''

  watchEffect(() => {
    const now = `${toValue(reel)} ${toValue(width)}`
    if (now !== generation) {
      generation = now
      loaded.clear()
      loading.clear()
      failed.clear()
    }
    const keep = new Set(toValue(wanted))
    for (const drawn of loaded.keys()) {
      if (!keep.has(drawn)) {
        loaded.delete(drawn)
      }
    }
    loadMore()
  })

  function loadMore(): void {
    const id = toValue(reel)
    const all = toValue(wanted)
    const start = toValue(from)
    const first = all[start] ?? ''
    const atOnce = loaded.has(first) || failed.has(first) ? AT_ONCE : 1
    for (let i = 0; id && i < all.length && loading.size < atOnce; i++) {
      const drawn = all[(start + i) % all.length] as string
      if (!loaded.has(drawn) && !loading.has(drawn) && !failed.has(drawn)) {
        void load(id, drawn)
      }
    }
  }

  async function load(id: string, drawn: string): Promise<void> {
    const mine = generation
    loading.add(drawn)
    const image = new Image()
    const waitedFor = drawn === toValue(wanted)[toValue(from)]
    // A browser has few connections: what is waited for goes before what will be.
    image.fetchPriority = waitedFor ? 'high' : 'low'
    image.src = (waitedFor ? frameNowUrl : frameUrl)(id, drawn, toValue(width))
    try {
      await image.decode()
      if (mine === generation) {
        loaded.set(drawn, image)
      }
    } catch {
      // A look that is gone by now, after an edit or without a server; its card says the rest.
      failed.add(drawn)
    }
    if (mine === generation) {
      loading.delete(drawn)
      loadMore()
    }
  }

  return loaded
}
