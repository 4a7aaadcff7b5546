import { answer, api } from '@/api/client'
import type { Cycle, NewStill, PictureRef, Size } from '@/api/types'
import { sayProblem } from '@/ground/messages'
import { gatherFor } from '@/gather/gather'
import type { Gatherable } from '@/gather/gatherable'
import { listText } from '@/parts/format'
import { usePlayhead } from '@/reel/playhead'
import { useReel } from '@/reel/store'
import { useMoving } from './moving'
import type { Box } from './poses'

/** Pictures larger than this share of the canvas come in reduced. */
const MOST_SHARE = 0.6

const refOf = ({ picture, size }: NewStill): PictureRef => ({ picture, size })
const cycleOf = (pictures: PictureRef[]): Cycle => ({ kind: 'cycle', pictures, turns: 'KEPT', every: 1, offset: 0 })
const nameOf = (file: string): string => file.replace(/\.[a-z0-9]+$/i, '').slice(0, 60) || 'Picture'

/** Makes cut-outs of pictures: from files, from what is copied, from a frame. */
export function useNewCutouts() {
  const store = useReel()
  const playhead = usePlayhead()
  const moving = useMoving()

  function reducing(size: Size): { scaleX: number; scaleY: number } {
    const { width, height } = store.reel!.canvas
    const share = Math.min(1, (MOST_SHARE * width) / size.width, (MOST_SHARE * height) / size.height)
    const scale = Math.round(share * 100) / 100 || share
    return { scaleX: scale, scaleY: scale }
  }

  /** Each file becomes a cut-out; the frames of an animation take turns, and so do all files where they are one cycle. */
  function fromFiles(files: Gatherable[], oneCycle: boolean): void {
    void gatherFor(files, async (stills) => {
      const names = oneCycle ? [stills[0]?.name ?? ''] : [...new Set(stills.map((still) => still.name))]
      const reduced = new Set<string>()
      for (const name of names) {
        const pictures = stills.filter((still) => oneCycle || still.name === name).map(refOf)
        const size = pictures[0]?.size ?? { width: 1, height: 1 }
        const scale = reducing(size)
        if (scale.scaleX < 1) {
          reduced.add(`${Math.round(100 * scale.scaleX)} %`)
        }
        await moving.add(nameOf(name), cycleOf(pictures), scale)
      }
      const added = names.length === 1 ? 'A cut-out was added' : `${names.length} cut-outs were added`
      return reduced.size > 0
        ? `${added} at ${listText([...reduced])} of the size of its file, so that it fits.`
        : `${added}.`
    })
  }

  /** More pictures for the cycle of the chosen cut-out. */
  function intoCycle(files: Gatherable[]): void {
    const cutout = moving.single?.cutout
    if (cutout?.art.kind === 'cycle') {
      const art = cutout.art
      void gatherFor(files, async (stills) => {
        await store.dispatch({
          type: 'setArt',
          cutout: cutout.id,
          art: { ...art, pictures: [...art.pictures, ...stills.map(refOf)] },
        })
        return `The cycle has ${art.pictures.length + stills.length} pictures now.`
      })
    }
  }

  /** Cuts a box out of the frame at the playhead; the cut-out lies where it was cut. */
  async function fromBox(box: Box): Promise<void> {
    const reel = store.reel
    const frame = playhead.frame
    if (!reel || !frame) {
      return
    }
    const left = Math.max(0, Math.floor(box.left))
    const top = Math.max(0, Math.floor(box.top))
    const width = Math.min(reel.canvas.width, Math.ceil(box.right)) - left
    const height = Math.min(reel.canvas.height, Math.ceil(box.bottom)) - top
    if (width < 1 || height < 1) {
      return
    }
    try {
      const path = { id: reel.id, drawn: frame.drawn }
      const cut = await answer(
        api.POST('/api/reels/{id}/frames/{drawn}/cuttings', {
          params: { path },
          body: { x: left, y: top, width, height },
        }),
      )
      await moving.add(`Cut from ${playhead.index + 1}`, cycleOf([cut]), { x: left + width / 2, y: top + height / 2 })
    } catch (failure) {
      sayProblem(failure)
    }
  }

  const fromFrame = (): Promise<void> =>
    fromBox({ left: 0, top: 0, right: store.reel!.canvas.width, bottom: store.reel!.canvas.height })

  return { fromFiles, intoCycle, fromBox, fromFrame }
}
