import { ref, watch } from 'vue'
import { Problem } from '@/api/problem'
import { signedOut } from '@/api/session'
import { sayProblem } from '@/ground/messages'

const FIRST_PAUSE = 1_000
const LONGEST_PAUSE = 30_000
/** A short break is not worth a word. */
const SAID_AFTER = 5_000

/**
 * An event stream that heals. A browser gives one up for good after any answer but 200, as a proxy gives while a server
 * starts; here it is opened again after pauses that grow. A hidden tab closes its stream, since browsers keep few connections to a server.
 *
 * @param hear what to do at each event, by its name
 * @param connected done each time it opens: what was missed is asked for
 * @param probe asks the server for something whose refusal says why the stream does not open
 */
export function useStream(
  hear: Record<string, (data: string) => void>,
  connected: () => Promise<void>,
  probe: () => Promise<unknown>,
) {
  /** Whether there has been no stream for a while, though there should be one. */
  const isCut = ref(false)
  let url = ''
  let stream: EventSource | null = null
  let pause = FIRST_PAUSE
  let again = 0
  let saying = 0

  function listen(to: string): void {
    leave()
    url = to
    document.addEventListener('visibilitychange', onVisibility)
    if (!document.hidden) {
      open()
    }
  }

  function leave(): void {
    document.removeEventListener('visibilitychange', onVisibility)
    url = ''
    close()
  }

  function open(): void {
    window.clearTimeout(again)
    stream?.close()
    const mine = new EventSource(url)
    stream = mine
    mine.addEventListener('open', () => {
      pause = FIRST_PAUSE
      heal()
      void connected()
    })
    mine.addEventListener('error', () => {
      if (stream === mine) {
        void retry(mine)
      }
    })
    for (const [name, done] of Object.entries(hear)) {
      mine.addEventListener(name, (event: MessageEvent<string>) => done(event.data))
    }
  }

  async function retry(broken: EventSource): Promise<void> {
    broken.close()
    if (saying === 0) {
      saying = window.setTimeout(() => (isCut.value = true), SAID_AFTER)
    }
    const mine = url
    const mayTry = await mayTryAgain()
    if (mayTry && url === mine && stream === broken && !document.hidden) {
      again = window.setTimeout(open, pause)
      pause = Math.min(LONGEST_PAUSE, 2 * pause)
    }
  }

  /** Signing in opens it anew; what is refused for good, as a reel that was removed, is said once. */
  async function mayTryAgain(): Promise<boolean> {
    try {
      await probe()
      return true
    } catch (failure) {
      if (failure instanceof Problem && failure.kind === 'refused') {
        heal()
        sayProblem(failure)
        return false
      }
      return !signedOut.value
    }
  }

  function heal(): void {
    window.clearTimeout(saying)
    saying = 0
    isCut.value = false
  }

  function close(): void {
    window.clearTimeout(again)
    heal()
    stream?.close()
    stream = null
  }

  function onVisibility(): void {
    if (document.hidden) {
      close()
    } else if (!stream) {
      pause = FIRST_PAUSE
      open()
    }
  }

  watch(signedOut, (out) => {
    if (!out && url !== '' && !document.hidden) {
      open()
    }
  })

  return { isCut, listen, leave }
}
