import { computed } from 'vue'
import { frameUrl } from '@/api/urls'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'

const WIDTH = 480

/** The frame at the playhead as a background, so that what is made is judged on what it will lie on. */
export function useFrameBehind() {
  const store = useReel()
  const playhead = usePlayhead()
  return computed(() =>
    store.reel && playhead.frame
      ? { background: `center / cover url("${frameUrl(store.reel.id, playhead.frame.drawn, WIDTH)}")` }
      : {},
  )
}
