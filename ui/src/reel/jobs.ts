import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'
import { api } from '@/api/client'
import type { JobView } from '@/api/types'
import { sayProblem } from '@/ground/messages'

/** The jobs of the open reel that were heard of, by their ids. */
export const useJobs = defineStore('jobs', () => {
  const known = shallowReactive(new Map<string, JobView>())

  /** Two ways tell of a job, the event stream and the answer to a question; what knows less is passed over. */
  function hear(job: JobView): void {
    const before = known.get(job.id)
    if (!before || (before.state === 'RUNNING' && (job.state !== 'RUNNING' || job.done >= before.done))) {
      known.set(job.id, job)
    }
  }

  async function ask(id: string): Promise<void> {
    const { response, data } = await api.GET('/api/jobs/{id}', { params: { path: { id } } })
    if (data) {
      hear(data)
    } else if (response.status === 404) {
      const problem = 'The server was started again meanwhile. Begin again.'
      hear({ id, title: '', state: 'FAILED', done: 0, total: 1, result: null, problem })
    }
  }

  /** What may have ended while nobody listened is asked about. */
  function askAgain(): void {
    for (const { id, state } of known.values()) {
      if (state === 'RUNNING') {
        void ask(id).catch(sayProblem)
      }
    }
  }

  return { known, hear, ask, askAgain, forget: () => known.clear() }
})
