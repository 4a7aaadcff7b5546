import { createRouter, createWebHistory } from 'vue-router'

const sheet = () => import('@/benches/sheet/Sheet.vue')
const move = () => import('@/benches/move/Move.vue')
const share = () => import('@/benches/share/Share.vue')

/** Loads the scripts of all benches, so that none is waited for when it is opened. */
export function preloadBenches(): void {
  // Without a server there is none to load; opening the bench says so.
  void Promise.allSettled([sheet(), move(), share()])
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: () => import('@/shelf/Shelf.vue') },
    {
      path: '/reels/:id',
      component: () => import('@/reel/ReelPage.vue'),
      children: [
        { path: '', redirect: (to) => ({ name: 'sheet', params: to.params }) },
        { path: 'sheet', name: 'sheet', component: sheet },
        { path: 'move', name: 'move', component: move, meta: { barsBelow: 128 } },
        { path: 'share', name: 'share', component: share },
      ],
    },
    { path: '/:rest(.*)', redirect: { name: 'shelf' } },
  ],
})
