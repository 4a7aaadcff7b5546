import { watch } from 'vue'
import { answer, api } from '@/api/client'
import { gathering } from '@/gather/gathering'
import { say } from '@/ground/messages'
import { useReel } from '@/reel/store'
import { useSelection } from '@/reel/selection'
import { useAsking } from './asking'
import { USUAL_FINDING } from './plate'

/** So many drawings in a grid are hardly one drawing with gaps. */
const FEWEST_DRAWINGS = 4

/** Offers to cut a picture that was brought in alone, where it holds many drawings in a grid. */
export function usePlateOffer(): void {
  const store = useReel()
  const selection = useSelection()
  const asking = useAsking()

  async function look(frame: number): Promise<void> {
    const content = store.frames.find(({ id }) => id === frame)?.content
    if (content?.kind !== 'still') {
      return
    }
    const path = { picture: content.picture }
    const { grid, parts } = await answer(
      api.POST('/api/plates/{picture}/grid', { params: { path }, body: USUAL_FINDING }),
    )
    const drawings = parts.length
    if (grid.rows * grid.columns > 1 && drawings >= FEWEST_DRAWINGS && store.ids.includes(frame)) {
      say(`“${content.name}” seems to hold ${drawings} drawings.`, {
        label: 'Cut it',
        run: () => {
          selection.only(frame)
          asking.open('plate')
        },
      })
    }
  }

  watch(
    () => [gathering.alone, store.reel?.id] as const,
    ([alone, reel]) => {
      if (alone !== null && alone.reel === reel) {
        gathering.alone = null
        // An offer that cannot be made is nobody's problem.
        void look(alone.frame).catch(() => undefined)
      }
    },
    { immediate: true },
  )
}
