import { useLocalStorage } from '@vueuse/core'

/** Colors of pages that a file may live on. */
export const PAGES = [
  { name: 'White page', color: '#ffffff' },
  { name: 'Oat page', color: '#f6f1e7' },
  { name: 'Gray page', color: '#8b9196' },
  { name: 'Black page', color: '#101214' },
  { name: 'Sea page', color: '#2b6f86' },
]

/** The page that files are looked at on, in every bench. */
export const usePage = () => useLocalStorage('dobbin.page', PAGES[0]!.color)
