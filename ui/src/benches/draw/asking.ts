import { defineStore } from 'pinia'
import { dialogsOf } from '@/ground/dialogs'

/** Which dialog of Draw is open. */
export const useAsking = defineStore('draw dialogs', () => dialogsOf<'words' | 'recolor' | 'pages' | 'imprint'>())
