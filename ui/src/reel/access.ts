import { computed, shallowRef } from 'vue'
import { answer, api } from '@/api/client'
import type { AccessView } from '@/api/types'

/** Whose the open reel is, and what may be done with it. */
export const access = shallowRef<AccessView | null>(null)

export const onlyToLookAt = computed(() => access.value?.yours === 'LOOK')

export async function askAccess(reel: string): Promise<void> {
  access.value = await answer(api.GET('/api/reels/{id}/access', { params: { path: { id: reel } } }))
}
