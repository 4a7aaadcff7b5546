import { ref } from 'vue'

/** Whether the server asked for the password: nobody has signed in, or the session has ended. */
export const signedOut = ref(false)
