import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Alignment, Art, Cutout, Easing, Edit, Motion, Pose, Scope } from '@/api/types'
import { say } from '@/ground/messages'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { onWholePixels, tidy } from './poses'
import { unfolded } from './track'
import type { Stop, Track } from './track'

/** A cut-out with where it is on the frame at the playhead. */
export interface Posed {
  cutout: Cutout
  track: Track
  stop: Stop
  /** As it is dragged, or as the server says. */
  pose: Pose
}

/** Poses that the reel does not show yet: held under the pointer, sent, or made and not drawn. They belong to one frame. */
interface Draft {
  frame: number
  poses: ReadonlyMap<number, Pose>
  state: 'held' | 'sent' | 'made'
  /** Of the reel that has them. */
  revision: number
}

const NONE: ReadonlyMap<number, Pose> = new Map()

/** Which cut-outs are chosen, where all of them are, and what can be done with them. */
export const useMoving = defineStore('moving', () => {
  const store = useReel()
  const playhead = usePlayhead()
  const chosen = shallowRef<ReadonlySet<number>>(new Set())
  const under = shallowRef<Draft | null>(null)
  /** The frame on which cut-outs were just added: while one stays there, moving them moves the one pose they have. */
  const placing = ref(0)
  const scope = ref<Scope>('HERE')
  const snapping = useLocalStorage('dobbin.snapping', true)
  const step = useLocalStorage('dobbin.nudge', 1)
  /** Whether boxes are laid on whole pixels. */
  const wholePixels = useLocalStorage('dobbin.wholePixels', false)
  const trackShown = useLocalStorage('dobbin.track', true)

  const cutouts = computed(() => store.reel?.cutouts ?? [])
  const frame = computed(() => playhead.frame?.id ?? 0)
  /** Poses of cut-outs on the frame at the playhead that are under way. */
  const drafts = computed(() => (under.value?.frame === frame.value ? under.value.poses : NONE))
  /** Where each of them is, in the same order. */
  const tracks = computed(() => (store.reel?.tracks ?? []).map((told) => unfolded(told, store.frames.length)))
  const ids = computed(() => cutouts.value.map((each) => each.id).filter((id) => chosen.value.has(id)))
  const all = computed<Posed[]>(() => {
    return cutouts.value.flatMap((cutout, i) => {
      const track = tracks.value[i]
      const stop = track?.stops[playhead.index]
      return track && stop ? [{ cutout, track, stop, pose: drafts.value.get(cutout.id) ?? stop.pose }] : []
    })
  })
  const posed = computed(() => all.value.filter(({ cutout }) => chosen.value.has(cutout.id)))
  /** The one cut-out that is chosen, if it is one. */
  const single = computed(() => (posed.value.length === 1 ? (posed.value[0] as Posed) : null))

  watch(
    () => store.reel?.id,
    () => {
      chosen.value = new Set()
      under.value = null
    },
  )
  // What is seen on another frame, or after another change, is not what was dragged.
  watch(
    () => [frame.value, store.reel?.revision] as const,
    ([at, revision]) => {
      if (at !== placing.value) {
        placing.value = 0
      }
      const now = under.value
      if (now && (now.frame !== at || (now.state === 'made' && now.revision !== revision))) {
        under.value = null
      }
    },
    { flush: 'sync' },
  )

  function choose(id: number, more: boolean): void {
    playhead.playing = false
    const next = new Set(more ? ids.value : [])
    if (!more || !next.delete(id)) {
      next.add(id)
    }
    chosen.value = next
  }

  function none(): void {
    chosen.value = new Set()
  }

  /** Makes an edit and chooses the cut-outs that are new by it. */
  async function adding(edit: Edit): Promise<boolean> {
    playhead.playing = false
    const before = new Set(cutouts.value.map((each) => each.id))
    const done = await store.dispatch(edit)
    if (done) {
      chosen.value = new Set(cutouts.value.map((each) => each.id).filter((id) => !before.has(id)))
      placing.value = frame.value
    }
    return done
  }

  async function onChosen(edit: (ids: number[]) => Edit): Promise<boolean> {
    return ids.value.length > 0 && (await store.dispatch(edit(ids.value)))
  }

  /** Poses as they may be: on whole pixels, where one wants that. */
  function laid(poses: ReadonlyMap<number, Pose>): Map<number, Pose> {
    const lay = (id: number, pose: Pose): Pose => {
      const of = wholePixels.value ? all.value.find(({ cutout }) => cutout.id === id) : undefined
      return of ? onWholePixels(of.cutout, of.track, pose) : pose
    }
    return new Map([...poses].map(([id, pose]) => [id, lay(id, pose)]))
  }

  /** Shows poses at once; nothing is sent. */
  function draft(poses: Map<number, Pose>): void {
    under.value = poses.size > 0 ? { frame: frame.value, poses: laid(poses), state: 'held', revision: 0 } : null
  }

  /** Puts cut-outs where they are to be on this frame, at once here and then in the reel. */
  async function pose(poses: Map<number, Pose>, on = frame.value): Promise<void> {
    playhead.playing = false
    const tidied = new Map([...laid(poses)].map(([id, each]) => [id, tidy(each)]))
    const mine: Draft = { frame: on, poses: tidied, state: 'sent', revision: 0 }
    under.value = mine
    const placed = [...tidied].map(([cutout, each]) => ({ cutout, pose: each }))
    const onto = onlyPose([...tidied.keys()]) ?? mine.frame
    const subject = [onto, scope.value, ...tidied.keys()].join(' ')
    const done = await store.dispatchLatest(subject, { type: 'setPoses', placed, frame: onto, scope: scope.value })
    if (under.value === mine) {
      under.value = done ? { ...mine, state: 'made', revision: store.reel?.revision ?? 0 } : null
    }
  }

  /** @return the frame of the one pose that cut-outs have which are just being placed */
  function onlyPose(of: number[]): number | undefined {
    const keys = cutouts.value.filter((each) => of.includes(each.id)).map((each) => each.keys)
    const frames = new Set(keys.flat().map((key) => key.frame))
    return placing.value === frame.value && frames.size === 1 && keys.every((each) => each.length === 1)
      ? [...frames][0]
      : undefined
  }

  /** The stage shows what the server drew: what was held over it until then can go. */
  function seen(): void {
    if (under.value?.state === 'made') {
      under.value = null
    }
  }

  /** Changes the pose of each chosen cut-out, from where it is once all that was sent is made. */
  async function change(how: (pose: Pose) => Pose): Promise<void> {
    playhead.playing = false
    const on = frame.value
    if (drafts.value.size === 0) {
      await store.settled()
    }
    const row = store.ids.indexOf(on)
    const poses = posed.value.flatMap<[number, Pose]>(({ cutout, track }) => {
      const was = (under.value?.frame === on ? under.value.poses.get(cutout.id) : undefined) ?? track.stops[row]?.pose
      return was ? [[cutout.id, how(was)]] : []
    })
    if (poses.length > 0) {
      await pose(new Map(poses), on)
    }
  }

  const nudge = (dx: number, dy: number): Promise<void> => change((was) => ({ ...was, x: was.x + dx, y: was.y + dy }))

  /** New ones come into the middle of the canvas; with their one pose on the first frame, they are still until one moves them. */
  function add(name: string, art: Art, at?: Partial<Pose>): Promise<boolean> {
    const canvas = store.reel!.canvas
    const middle: Pose = {
      x: canvas.width / 2,
      y: canvas.height / 2,
      scaleX: 1,
      scaleY: 1,
      turn: 0,
      opacity: 1,
      shown: 1,
      walk: 0,
    }
    return adding({ type: 'addCutout', name, art, pose: { ...middle, ...at }, frame: store.ids[0] ?? 0 })
  }

  async function remove(): Promise<void> {
    const gone = posed.value.map(({ cutout }) => cutout.name)
    if (await onChosen((cutouts) => ({ type: 'removeCutouts', cutouts }))) {
      const names = gone.length === 1 ? `“${gone[0]}” was` : `${gone.length} cut-outs were`
      say(`${names} removed.`, { label: 'Undo', run: () => void store.undo() })
    }
  }
  const copy = (): Promise<boolean> => adding({ type: 'copyCutouts', cutouts: ids.value })
  const hide = (hidden: boolean): Promise<boolean> => onChosen((cutouts) => ({ type: 'hideCutouts', cutouts, hidden }))
  const group = (): Promise<boolean> =>
    adding({ type: 'groupCutouts', cutouts: ids.value, name: 'Group', frame: frame.value })
  const ungroup = (): Promise<boolean> => adding({ type: 'ungroupCutout', cutout: ids.value[0] as number })
  const align = (to: Alignment): Promise<boolean> =>
    onChosen((cutouts) => ({ type: 'alignCutouts', cutouts, frame: frame.value, to, scope: scope.value }))
  const move = (motion: Motion, firstFrame: number, lastFrame: number): Promise<boolean> =>
    onChosen((cutouts) => ({ type: 'addMotion', cutouts, firstFrame, lastFrame, motion }))
  const glideAgain = (firstFrame: number, lastFrame: number, leaves: Easing): Promise<boolean> =>
    onChosen((cutouts) => ({ type: 'glideAgain', cutouts, firstFrame, lastFrame, leaves }))

  /** Lays the chosen one higher or lower among the others. */
  async function raise(by: 1 | -1): Promise<void> {
    const order = cutouts.value.map((each) => each.id)
    const cutout = ids.value[0]
    const at = cutout === undefined ? -1 : order.indexOf(cutout)
    if (cutout !== undefined && order[at + by] !== undefined) {
      await store.dispatch({ type: 'orderCutout', cutout, over: (by > 0 ? order[at + 1] : order[at - 2]) ?? 0 })
    }
  }

  return {
    chosen,
    tracks,
    drafts,
    scope,
    snapping,
    wholePixels,
    step,
    trackShown,
    cutouts,
    ids,
    all,
    posed,
    single,
    frame,
    choose,
    none,
    adding,
    draft,
    seen,
    pose,
    change,
    nudge,
    add,
    remove,
    copy,
    hide,
    group,
    ungroup,
    align,
    move,
    glideAgain,
    raise,
  }
})
