import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { dialogsOf } from '@/ground/dialogs'

/** Which dialog of the bench is open. */
export const useAsking = defineStore('move dialogs', () => {
  const dialogs = dialogsOf<'words' | 'shape' | 'cutout' | 'tween' | 'motion' | 'surroundings' | 'hide'>()
  /** The cut-out whose words or shape are changed; with none, a new one is made. */
  const artOf = shallowRef<number | null>(null)

  function art(kind: 'words' | 'shape', of: number | null): void {
    artOf.value = of
    dialogs.open(kind)
  }

  return { ...dialogs, artOf, art }
})
