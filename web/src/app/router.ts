import { createRouter, createWebHistory } from 'vue-router'
import WalkPage from '../walk/WalkPage.vue'

// The walk is the first thing anybody opens; the rest comes when it is asked for.
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: { name: 'walk' } },
    { path: '/walk', name: 'walk', component: WalkPage },
    { path: '/residents', name: 'residents', component: () => import('../residents/ResidentsPage.vue') },
    {
      path: '/residents/:id',
      name: 'record',
      component: () => import('../record/RecordPage.vue'),
      props: true,
    },
    { path: '/:rest(.*)*', redirect: { name: 'walk' } },
  ],
})
