import { answer, api } from '@/api/client'
import type { FileView, LimitsView, NewStill } from '@/api/types'
import { Problem, sentenceFor } from '@/api/problem'
import { listText, placesText } from '@/parts/format'
import { useReel } from '@/reel/store'
import { Arriving } from './arriving'
import type { Into } from './arriving'
import { isClip, openInTurn } from './clip/clips'
import { decodedHere } from './decodedHere'
import type { Gatherable } from './gatherable'
import { gathering, inTurn, sendFile } from './gathering'
import { layers } from './layers'
import { vectorSide } from './vectorSide'
import { isWork, openWorks, refuseWorks } from './work'

const AT_ONCE = 3

/** Makes frames of files. Of each clip one chooses first what of it becomes frames; a working file is a reel of its own. */
export async function gatherInto(files: Gatherable[], into: Into): Promise<void> {
  const works = files.filter(({ file }) => isWork(file))
  await ('open' in into ? openWorks(works, into.open) : refuseWorks(works))
  openInTurn(files.filter(({ file }) => isClip(file)).map(({ file }) => ({ file, into })))
  return gatherWorth(
    files.filter(({ file }) => !isClip(file) && !isWork(file)),
    async (worth, signal) => {
      const arriving = new Arriving(worth, into)
      try {
        const failed = await readAll(await arriving.inOrder(), (index, stills) => arriving.took(index, stills), signal)
        await arriving.all()
        gathering.alone = worth.length === 1 ? arriving.single() : null
        if (failed.length > 0) {
          gathering.again = () => void gatherInto(failed, arriving.onward())
        }
      } catch (failure) {
        if (!(failure instanceof Problem) || failure.kind !== 'unreachable') {
          throw failure
        }
        // What was read is put in, where that still can be.
        await arriving.all().catch(() => undefined)
        const missing = arriving.missing()
        const names = listText(missing.map(({ name }) => `“${name}”`))
        gathering.problems.push(
          `The server does not answer. ${missing.length === 1 ? 'This file is' : 'These files are'} not in the reel: ${names}.`,
        )
        gathering.again = () => void gatherInto(missing, arriving.onward())
      }
      const places = arriving.places()
      return places.length === 0 ? 'Nothing was added.' : `Added: ${placesText(places)}.`
    },
  )
}

/** Shows another still on a frame of the open reel. */
export function replaceIn(frame: number, file: Gatherable): Promise<void> {
  return gatherFor([file], async ([still]) => {
    const replaced = still !== undefined && (await useReel().dispatch({ type: 'replacePicture', frame, still }))
    return replaced ? 'The picture was replaced.' : 'Nothing was replaced.'
  })
}

/** Reads files for something else than frames. @param use says what came of it */
export function gatherFor(files: Gatherable[], use: (stills: NewStill[]) => Promise<string>): Promise<void> {
  return gatherWorth(files, async (worth, signal) => {
    const came: NewStill[][] = []
    await readAll(worth, (index, stills) => (came[index] = stills), signal)
    const stills = came.flat()
    return signal.aborted || stills.length === 0 ? 'Nothing was added.' : use(stills)
  })
}

/** Files that the system keeps for itself are passed over. */
async function gatherWorth(
  files: Gatherable[],
  gather: (worth: Gatherable[], signal: AbortSignal) => Promise<string>,
): Promise<void> {
  const worth = await layers.settled(await vectorSide.settled(files.filter(({ name }) => !name.startsWith('.'))))
  return worth.length === 0 ? undefined : inTurn(worth.length, (signal) => gather(worth, signal))
}

/** @param came is told of each file as it is read; @return the files that could not be read */
async function readAll(
  files: Gatherable[],
  came: (index: number, stills: NewStill[]) => void,
  signal: AbortSignal,
): Promise<Gatherable[]> {
  const limits = await answer(api.GET('/api/limits'))
  const waiting = files.map((each, index) => ({ ...each, index }))
  const failed: Gatherable[] = []
  /** The file that each picture came in first. */
  const first = new Map<string, string>()
  let unreachable: unknown = null

  async function reader(): Promise<void> {
    for (let next = waiting.shift(); next && !signal.aborted && unreachable === null; next = waiting.shift()) {
      const taken = await readOne(next, limits, signal).catch((failure: unknown) => {
        unreachable = failure
        return null
      })
      if (signal.aborted || taken === null) {
        return
      }
      gathering.notes.push(...taken.notes)
      const [only] = taken.stills.length === 1 ? taken.stills : []
      if (only && first.has(only.picture)) {
        gathering.notes.push(`“${only.name}” is the same picture as “${first.get(only.picture)}”.`)
      } else if (only) {
        first.set(only.picture, only.name)
      }
      if (taken.problem !== null) {
        gathering.problems.push(taken.problem)
        failed.push(next)
      }
      came(next.index, taken.stills)
      gathering.read++
    }
  }

  await Promise.all(Array.from({ length: AT_ONCE }, reader))
  if (unreachable !== null) {
    throw unreachable
  }
  return failed
}

/** A file that is too large is not sent at all. @throws Problem where the server does not answer */
async function readOne(
  { file, side, flattened }: Gatherable,
  limits: LimitsView,
  signal: AbortSignal,
): Promise<FileView> {
  try {
    if (isClip(file)) {
      throw new Error(`“${file.name}” is a clip. Bring it in as frames first.`)
    }
    if (file.size > limits.maxFileBytes) {
      const most = Math.floor(limits.maxFileBytes / 1_000_000)
      throw new Error(`“${file.name}” is larger than ${most} MB. Make it smaller first.`)
    }
    const send = (body: Blob): Promise<FileView> => sendFile(body, file.name, signal, { side, flattened })
    const view = (await decodedHere(file, limits, signal, send)) ?? (await send(file))
    // Where a file does not say when it was taken, its own date stands for that.
    return { ...view, stills: view.stills.map((still) => ({ ...still, taken: still.taken || file.lastModified })) }
  } catch (failure) {
    if (failure instanceof Problem && failure.kind === 'unreachable' && !signal.aborted) {
      throw failure
    }
    const said = sentenceFor(failure)
    return { stills: [], notes: [], problem: said.startsWith('“') ? said : `“${file.name}” was not read. ${said}` }
  }
}
