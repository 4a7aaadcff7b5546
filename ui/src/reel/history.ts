import { ref } from 'vue'

/** Whether the list of all that was done to the reel is open. */
export const historyShown = ref(false)
