/** Addresses of the places; every place is loaded when it is first entered. */
import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: { name: 'bench' } },
    {
      path: '/bench/:id?',
      name: 'bench',
      props: true,
      component: () => import('@/places/bench/BenchPlace.vue'),
    },
    {
      path: '/examples',
      name: 'examples',
      component: () => import('@/places/examples/ExamplesPlace.vue'),
    },
    {
      path: '/examples/:id/key',
      name: 'key',
      props: true,
      meta: { place: 'examples' },
      component: () => import('@/places/key/KeyPlace.vue'),
    },
    {
      path: '/examples/:id/show',
      name: 'show',
      props: true,
      meta: { bare: true },
      component: () => import('@/places/show/ShowPlace.vue'),
    },
    {
      path: '/examples/:id/track',
      name: 'track',
      props: true,
      meta: { place: 'examples' },
      component: () => import('@/places/show/TrackPlace.vue'),
    },
    { path: '/sets', name: 'sets', component: () => import('@/places/sets/SetsPlace.vue') },
    {
      path: '/sets/:id',
      name: 'set',
      props: true,
      meta: { place: 'sets' },
      component: () => import('@/places/sets/SetPlace.vue'),
    },
    {
      path: '/sets/:id/print/:what(handout|short|key|mistakes|choices|slides)',
      name: 'sheet',
      props: true,
      meta: { place: 'sets' },
      component: () => import('@/places/give/GivePlace.vue'),
    },
    {
      path: '/proofs',
      name: 'proofs',
      meta: { place: 'sets' },
      component: () => import('@/places/proofs/ProofsPlace.vue'),
    },
    {
      path: '/proofs/:id',
      name: 'proof',
      props: true,
      meta: { place: 'sets' },
      component: () => import('@/places/proofs/ProofPlace.vue'),
    },
    {
      path: '/examples/:id/exercise',
      name: 'exercise',
      props: true,
      meta: { place: 'examples' },
      component: () => import('@/places/show/ExercisePlace.vue'),
    },
    {
      path: '/errors',
      name: 'errors',
      component: () => import('@/places/errors/ErrorsPlace.vue'),
    },
    { path: '/house', name: 'house', component: () => import('@/places/house/HousePlace.vue') },
    { path: '/:rest(.*)*', redirect: { name: 'bench' } },
  ],
})
