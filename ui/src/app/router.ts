import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: () => import('@/shelf/Shelf.vue') },
    {
      path: '/reels/:id',
      component: () => import('@/reel/ReelPage.vue'),
      children: [
        { path: '', redirect: (to) => ({ name: 'sheet', params: to.params }) },
        { path: 'sheet', name: 'sheet', component: () => import('@/benches/sheet/Sheet.vue') },
        { path: 'move', name: 'move', component: () => import('@/benches/move/Move.vue') },
        { path: 'share', name: 'share', component: () => import('@/benches/share/Share.vue') },
      ],
    },
    { path: '/:rest(.*)', redirect: { name: 'shelf' } },
  ],
})
