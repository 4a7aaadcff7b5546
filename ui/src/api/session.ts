import { ref, shallowRef } from 'vue'
import type { SessionView } from './types'

/** Whether the server asked for the password: nobody has signed in, or the session has ended. */
export const signedOut = ref(false)

/** Who has signed in here, and whether people have names; null until that is known. */
export const session = shallowRef<SessionView | null>(null)
