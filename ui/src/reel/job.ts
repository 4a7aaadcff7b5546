import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { JobView } from '@/api/types'
import { sayProblem } from '@/ground/messages'
import { useJobs } from './jobs'
import { useReel } from './store'

/**
 * Follows one job of the open reel by its id, from its beginning to its end. It is found again after a reload of the page, and
 * after its bench was left.
 *
 * @param kind what it is for: there is one of a kind at a time
 * @param ended done once it is done, has failed, or was stopped
 */
export function useJob(kind: string, ended: (job: JobView) => void) {
  const store = useReel()
  const jobs = useJobs()
  const id = ref('')
  let reel = ''

  const job = computed(() => jobs.known.get(id.value) ?? null)
  const isRunning = computed(() => id.value !== '')
  const key = (): string => `dobbin.job.${kind}.${reel}`

  function follow(started: JobView): void {
    sessionStorage.setItem(key(), started.id)
    jobs.hear(started)
    id.value = started.id
  }

  async function stop(): Promise<void> {
    if (isRunning.value) {
      await answer(api.DELETE('/api/jobs/{id}', { params: { path: { id: id.value } } })).catch(sayProblem)
    }
  }

  watch(
    () => store.reel?.id,
    (open) => {
      reel = open ?? ''
      id.value = reel === '' ? '' : (sessionStorage.getItem(key()) ?? '')
      if (isRunning.value) {
        void jobs.ask(id.value).catch(sayProblem)
      }
    },
    { immediate: true },
  )
  watch(
    job,
    (now) => {
      if (now && now.state !== 'RUNNING') {
        id.value = ''
        sessionStorage.removeItem(key())
        ended(now)
      }
    },
    { immediate: true },
  )

  return { job, isRunning, follow, stop }
}
