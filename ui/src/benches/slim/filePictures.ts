import { onScopeDispose, shallowReactive, toValue, watchEffect } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { wantPicture } from '@/api/pictureQueue'
import type { Wanted } from '@/api/pictureQueue'

const AT_ONCE = 2

/**
 * Loads pictures, the first of those wanted before the others; what is no longer wanted is let go.
 *
 * @param wanted addresses in the order of need
 */
export function useFilePictures(wanted: MaybeRefOrGetter<string[]>) {
  const loaded = shallowReactive(new Map<string, HTMLImageElement>())
  const loading = new Map<string, Wanted>()
  const failed = new Set<string>()

  function giveUp(url: string): void {
    loading.get(url)?.giveUp()
    loading.delete(url)
  }

  function loadMore(): void {
    for (const [place, url] of toValue(wanted).entries()) {
      const isFirst = place === 0
      if (!loaded.has(url) && !loading.has(url) && !failed.has(url) && (isFirst || loading.size < AT_ONCE)) {
        void load(url, isFirst)
      }
    }
  }

  async function load(url: string, isFirst: boolean): Promise<void> {
    const mine = wantPicture(url, () => (isFirst ? 'now' : 'ahead'))
    loading.set(url, mine)
    try {
      loaded.set(url, await mine.image)
    } catch {
      // The file is another one by now; its pictures come next.
      failed.add(url)
    }
    loading.delete(url)
    loadMore()
  }

  watchEffect(() => {
    const keep = new Set(toValue(wanted))
    for (const url of [...loaded.keys()].filter((each) => !keep.has(each))) {
      loaded.delete(url)
    }
    for (const url of [...loading.keys()].filter((each) => !keep.has(each))) {
      giveUp(url)
    }
    loadMore()
  })
  onScopeDispose(() => [...loading.keys()].forEach(giveUp))
  return loaded
}
