import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { dialogsOf } from '@/ground/dialogs'
import { framesText } from '@/parts/format'
import { useSelection } from '@/reel/selection'
import { useArranging } from './arranging'

/** A question of one number or one line of text. */
export interface Question {
  title: string
  label: string
  verb: string
  value: number | string
  min?: number
  max?: number
  suffix?: string
  /** What the answer would lead to, in words. */
  leadsTo?: (value: number) => string
  run: (value: never) => unknown
}

/** What is being asked before something is done. One thing at a time. */
export const useAsking = defineStore('sheet dialogs', () => {
  const selection = useSelection()
  const arranging = useArranging()
  const dialogs = dialogsOf<'question' | 'fit' | 'card' | 'thereAndBack' | 'lineUp' | 'plate'>()
  const question = shallowRef<Question | null>(null)
  /** Whether the card dialog changes the chosen cards; otherwise it adds some. */
  const cardsToChange = shallowRef(false)
  /** The frame that is to get another picture. */
  const replacing = shallowRef<number | null>(null)

  const which = computed(() => {
    const frames = framesText(arranging.affected.length)
    return selection.ids.length > 0 ? frames : `all ${frames}`
  })

  function ask(next: Question): void {
    question.value = next
    dialogs.open('question')
  }

  function card(toChange: boolean): void {
    cardsToChange.value = toChange
    dialogs.open('card')
  }

  return { ...dialogs, question, ask, cardsToChange, card, replacing, which }
})
