import { useRafFn } from '@vueuse/core'
import { ref } from 'vue'
import type { Ref } from 'vue'
import { MICROS } from './clip'
import type { Clip } from './clip'
import type { Stretch } from './stretch'

/** Plays the stretch of a clip around and around. Moments are in microseconds. */
export function useRound(
  player: Readonly<Ref<HTMLVideoElement | null>>,
  clip: Ref<Clip | null>,
  stretch: Ref<Stretch | null>,
) {
  const playing = ref(false)
  const playhead = ref(0)

  useRafFn(() => {
    const [video, chosen] = [player.value, stretch.value]
    if (!video || !chosen) {
      return
    }
    if (playing.value) {
      const now = video.currentTime * MICROS
      if (now >= chosen.to.value || now < chosen.from.value - MICROS / 10 || video.ended) {
        video.currentTime = chosen.from.value / MICROS
        void video.play().catch(() => undefined)
      }
    }
    playhead.value = Math.min(video.currentTime * MICROS, clip.value?.length ?? 0)
  })

  function seek(moment: number): void {
    playing.value = false
    player.value?.pause()
    if (player.value) player.value.currentTime = moment / MICROS
  }

  function toggle(): void {
    playing.value = !playing.value
    if (playing.value) {
      void player.value?.play().catch(() => (playing.value = false))
    } else {
      player.value?.pause()
    }
  }

  return { playing, playhead, seek, toggle }
}
