import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Alignment, Art, Cutout, Easing, Edit, Motion, Pose, Scope } from '@/api/types'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { tidy } from './poses'
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

/** Which cut-outs are chosen, where all of them are, and what can be done with them. */
export const useMoving = defineStore('moving', () => {
  const store = useReel()
  const playhead = usePlayhead()
  const chosen = shallowRef<ReadonlySet<number>>(new Set())
  /** Poses that are being dragged, or were sent and are not seen yet. */
  const drafts = shallowRef<ReadonlyMap<number, Pose>>(new Map())
  /** Whether the reel has the drafts' poses by now. */
  const sent = ref(false)
  const scope = ref<Scope>('HERE')
  const snapping = useLocalStorage('dobbin.snapping', true)
  const step = useLocalStorage('dobbin.nudge', 1)
  const trackShown = useLocalStorage('dobbin.track', true)

  const cutouts = computed(() => store.reel?.cutouts ?? [])
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
  const frame = computed(() => playhead.frame?.id ?? 0)

  watch(
    () => store.reel?.id,
    () => {
      chosen.value = new Set()
      drafts.value = new Map()
    },
  )

  function choose(id: number, more: boolean): void {
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
    const before = new Set(cutouts.value.map((each) => each.id))
    const done = await store.dispatch(edit)
    if (done) {
      chosen.value = new Set(cutouts.value.map((each) => each.id).filter((id) => !before.has(id)))
    }
    return done
  }

  async function onChosen(edit: (ids: number[]) => Edit): Promise<boolean> {
    return ids.value.length > 0 && (await store.dispatch(edit(ids.value)))
  }

  /** Shows poses at once; nothing is sent. */
  function draft(poses: Map<number, Pose>): void {
    drafts.value = poses
    sent.value = false
  }

  /** Puts cut-outs where they are to be on this frame, at once here and then in the reel. */
  async function pose(poses: Map<number, Pose>): Promise<void> {
    const mine = new Map([...poses].map(([id, each]) => [id, tidy(each)]))
    draft(mine)
    playhead.playing = false
    const placed = [...mine].map(([cutout, each]) => ({ cutout, pose: each }))
    const subject = [frame.value, scope.value, ...mine.keys()].join(' ')
    const done = await store.dispatchLatest(subject, { type: 'setPoses', placed, frame: frame.value, scope: scope.value })
    if (drafts.value === mine) {
      sent.value = done
      if (!done) {
        drafts.value = new Map()
      }
    }
  }

  /** The stage shows what the server drew: what was held over it until then can go. */
  function seen(): void {
    if (sent.value) {
      sent.value = false
      drafts.value = new Map()
    }
  }

  /** Changes the pose of each chosen cut-out. */
  function change(how: (pose: Pose) => Pose): void {
    if (posed.value.length > 0) {
      void pose(new Map(posed.value.map((each) => [each.cutout.id, how(each.pose)])))
    }
  }

  const nudge = (dx: number, dy: number): void => change((was) => ({ ...was, x: was.x + dx, y: was.y + dy }))

  /** New ones come into the middle of the canvas, on the frame at the playhead. */
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
    return adding({ type: 'addCutout', name, art, pose: { ...middle, ...at }, frame: frame.value })
  }

  const remove = (): Promise<boolean> => onChosen((cutouts) => ({ type: 'removeCutouts', cutouts }))
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
