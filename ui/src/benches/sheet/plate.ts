import { useDebounceFn } from '@vueuse/core'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import { sentenceFor } from '@/api/problem'
import type { CutRequest, FoundView, GridView, Part, Still } from '@/api/types'

const PAUSE_MILLIS = 150

/** How drawings are looked for until one says otherwise. */
export const USUAL_FINDING = { tolerancePercent: 8, join: 0, columnsFirst: false }

/** A part of the plate, and whether it becomes a frame. */
export interface PlatePart extends Part {
  key: string
  taken: boolean
}

/** How a plate is cut: what is found on it, put in another order or left out by hand. */
export function usePlate(still: Still) {
  const way = ref<'grid' | 'pieces'>('grid')
  const finding = reactive({ ...USUAL_FINDING })
  const grid = reactive<GridView>({ rows: 1, columns: 1, marginX: 0, marginY: 0, gutterX: 0, gutterY: 0 })
  const how = reactive<Pick<CutRequest, 'clears' | 'enclosed' | 'centering'>>({
    clears: true,
    enclosed: false,
    centering: 'NONE',
  })
  const ground = ref<string | null>(null)
  const parts = shallowRef<PlatePart[]>([])
  const problem = ref('')
  const busy = ref(true)
  let asked = 0

  const path = { picture: still.picture }
  const taken = computed(() => parts.value.filter((part) => part.taken))

  async function find(looked: () => Promise<FoundView>): Promise<FoundView | null> {
    const mine = ++asked
    busy.value = true
    try {
      const found = await looked()
      if (mine !== asked) {
        return null
      }
      ground.value = found.ground
      parts.value = found.parts.map((part, i) => ({ ...part, key: `${i}`, taken: true }))
      problem.value = ''
      return found
    } catch (failure) {
      if (mine === asked) {
        problem.value = sentenceFor(failure)
        parts.value = []
      }
      return null
    } finally {
      if (mine === asked) busy.value = false
    }
  }

  const cells = (): Promise<FoundView | null> =>
    find(() => answer(api.POST('/api/plates/{picture}/cells', { params: { path }, body: { grid, finding } })))
  const pieces = (): Promise<FoundView | null> =>
    find(() => answer(api.POST('/api/plates/{picture}/pieces', { params: { path }, body: finding })))

  /** Looks for a grid; where the drawings lie in none, each is found by itself. */
  async function begin(): Promise<void> {
    const found = await find(() => answer(api.POST('/api/plates/{picture}/grid', { params: { path }, body: finding })))
    if (!found) {
      return
    }
    if (found.grid.rows * found.grid.columns > 1) {
      Object.assign(grid, found.grid)
    } else {
      way.value = 'pieces'
      how.centering = 'BOX'
      await pieces()
    }
    watch([way, () => ({ ...finding }), () => ({ ...grid })], changed, { flush: 'sync' })
  }

  const again = useDebounceFn(() => (way.value === 'grid' ? cells() : pieces()), PAUSE_MILLIS)

  function changed(): void {
    busy.value = true
    void again()
  }

  function toggle(key: string): void {
    parts.value = parts.value.map((part) => (part.key === key ? { ...part, taken: !part.taken } : part))
  }

  /** @param place among all parts, from 0 */
  function move(key: string, place: number): void {
    const moved = parts.value.find((part) => part.key === key)
    if (moved && place >= 0 && place < parts.value.length) {
      const others = parts.value.filter((part) => part !== moved)
      parts.value = [...others.slice(0, place), moved, ...others.slice(place)]
    }
  }

  function cut() {
    const { tolerancePercent } = finding
    const wanted = taken.value.map(({ x, y, width, height }) => ({ x, y, width, height }))
    return answer(
      api.POST('/api/plates/{picture}/cut', {
        params: { path },
        body: { name: still.name, parts: wanted, tolerancePercent, ...how },
      }),
    )
  }

  void begin()
  return { way, finding, grid, how, ground, parts, taken, problem, busy, toggle, move, cut }
}
