import { answer, api } from '@/api/client'
import { Problem } from '@/api/problem'
import type { Size } from '@/api/types'
import { framesText, placesText } from '@/parts/format'
import { Arriving } from '../arriving'
import type { Into } from '../arriving'
import { gathering, inTurn, sendFile } from '../gathering'
import { openClip } from './openClip'

const AT_ONCE = 3

/** A picture of a clip that becomes a frame: when it begins to show, in microseconds, and for how long. */
export interface Pick {
  time: number
  delayMillis: number
}

/** Makes frames of pictures of a clip, as PNG, so without loss. */
export function bringIn(file: File, picks: Pick[], size: Size, into: Into): Promise<void> {
  return inTurn(picks.length, async (signal) => {
    const arriving = new Arriving(
      picks.map((pick) => ({ ...pick, name: file.name, folder: '' })),
      into,
    )
    const clip = await openClip(file)
    try {
      await readAll()
    } catch (failure) {
      await arriving.all().catch(() => undefined)
      const missing = arriving.missing()
      const reason =
        failure instanceof Problem && failure.kind === 'unreachable'
          ? 'The server does not answer.'
          : `“${file.name}” could not be read on: it may be damaged there.`
      gathering.problems.push(`${reason} ${framesText(missing.length)} of ${picks.length} are not in the reel.`)
      gathering.again = () => void bringIn(file, missing, size, arriving.onward())
    } finally {
      clip.close()
    }
    await arriving.all()
    const places = arriving.places()
    return places.length === 0 ? 'Nothing was added.' : `Added: ${placesText(places)}.`

    /** Decodes one after the other, and keeps a few on their way to the server. */
    async function readAll(): Promise<void> {
      const onTheWay = new Set<Promise<void>>()
      const failures: unknown[] = []
      let index = 0
      for await (const canvas of clip.pictures(
        picks.map(({ time }) => time),
        size,
      )) {
        if (signal.aborted || failures.length > 0) {
          break
        }
        const sending: Promise<void> = send(canvas, index++)
          .catch((failure: unknown) => void failures.push(failure))
          .finally(() => onTheWay.delete(sending))
        onTheWay.add(sending)
        if (onTheWay.size >= AT_ONCE) {
          await Promise.race(onTheWay)
        }
      }
      await Promise.all(onTheWay)
      if (failures.length > 0) {
        throw failures[0]
      }
      if (index < picks.length && !signal.aborted) {
        throw new Error('The clip ends early')
      }
    }

    async function send(canvas: OffscreenCanvas, index: number): Promise<void> {
      const answered = await sendFile(await canvas.convertToBlob({ type: 'image/png' }), file.name, signal).catch(
        (failure: unknown) => {
          if (signal.aborted) return null
          throw failure
        },
      )
      if (answered?.problem) {
        throw new Error(answered.problem)
      }
      if (answered) {
        const { delayMillis } = picks[index] as Pick
        arriving.took(
          index,
          answered.stills.map((still) => ({ ...still, delayMillis })),
        )
        gathering.read++
      }
    }
  })
}

/** @return which pictures of a stretch become frames; `times` is of the pictures that show in it */
export async function picksOf(
  times: number[],
  from: number,
  to: number,
  perSecond: number,
  every: number,
): Promise<Pick[]> {
  const body = { times, fromMicros: from, toMicros: to, perSecond, every }
  const { places, delaysMillis } = await answer(api.POST('/api/clips/picks', { body }))
  return places.map((place, i) => ({ time: times[place] as number, delayMillis: delaysMillis[i] as number }))
}
