import { shallowRef } from 'vue'

/**
 * What fills the segments of the rhythm bar instead of the change from frame to frame, while a bench sets it: for each
 * frame the parts of its bar from below, 0 to 1 of the height in all.
 */
export const barsShown = shallowRef<readonly (readonly number[])[] | null>(null)
