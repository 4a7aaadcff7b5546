import { createRouter, createWebHistory } from 'vue-router'
import { BENCHES } from '@/benches'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: () => import('@/shelf/Shelf.vue') },
    {
      path: '/reels/:id',
      component: () => import('@/page/ReelPage.vue'),
      props: { benches: BENCHES },
      children: [
        { path: '', redirect: (to) => ({ name: BENCHES[0]!.name, params: to.params }) },
        ...BENCHES.map(({ name, load }) => ({ path: name, name, component: load })),
      ],
    },
    {
      path: '/guide/:page?',
      component: () => import('@/guide/Guide.vue'),
      props: ({ params }) => ({ page: params.page ?? '' }),
    },
    { path: '/:rest(.*)', redirect: { name: 'shelf' } },
  ],
})
