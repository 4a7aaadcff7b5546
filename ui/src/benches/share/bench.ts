import type { Bench } from '@/ground/bench'

export const share: Bench = { name: 'share', label: 'Share', load: () => import('./Share.vue'), keys: [] }
