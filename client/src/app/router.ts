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
      meta: { title: 'bench' },
      component: () => import('@/places/bench/BenchPlace.vue'),
    },
    {
      path: '/first',
      name: 'first',
      meta: { title: 'first', place: 'bench' },
      component: () => import('@/places/first/FirstPlace.vue'),
    },
    {
      path: '/examples',
      name: 'examples',
      meta: { title: 'examples' },
      component: () => import('@/places/examples/ExamplesPlace.vue'),
    },
    {
      path: '/examples/:id/key',
      name: 'key',
      props: true,
      meta: { title: 'key', place: 'examples' },
      component: () => import('@/places/key/KeyPlace.vue'),
    },
    {
      path: '/examples/:id/show',
      name: 'show',
      props: true,
      meta: { title: 'show', bare: true },
      component: () => import('@/places/show/ShowPlace.vue'),
    },
    {
      path: '/examples/:id/track',
      name: 'track',
      props: true,
      meta: { title: 'track', place: 'examples' },
      component: () => import('@/places/show/TrackPlace.vue'),
    },
    {
      path: '/sets',
      name: 'sets',
      meta: { title: 'sets' },
      component: () => import('@/places/sets/SetsPlace.vue'),
    },
    {
      path: '/sets/:id',
      name: 'set',
      props: true,
      meta: { title: 'set', place: 'sets' },
      component: () => import('@/places/sets/SetPlace.vue'),
    },
    {
      path: '/sets/:id/print/:what(handout|short|key|mistakes|choices|slides)',
      name: 'sheet',
      props: true,
      meta: { title: 'sheet', place: 'sets' },
      component: () => import('@/places/give/GivePlace.vue'),
    },
    {
      path: '/proofs',
      name: 'proofs',
      meta: { title: 'proofs', place: 'sets' },
      component: () => import('@/places/proofs/ProofsPlace.vue'),
    },
    {
      path: '/proofs/:id',
      name: 'proof',
      props: true,
      meta: { title: 'proof', place: 'sets' },
      component: () => import('@/places/proofs/ProofPlace.vue'),
    },
    {
      path: '/examples/:id/answers',
      name: 'answers',
      props: true,
      meta: { title: 'answers', place: 'examples' },
      component: () => import('@/places/answers/AnswersPlace.vue'),
    },
    {
      path: '/examples/:id/exercise',
      name: 'exercise',
      props: true,
      meta: { title: 'exercise', place: 'examples' },
      component: () => import('@/places/show/ExercisePlace.vue'),
    },
    {
      path: '/errors',
      name: 'errors',
      meta: { title: 'errors' },
      component: () => import('@/places/errors/ErrorsPlace.vue'),
    },
    {
      path: '/house',
      name: 'house',
      meta: { title: 'house' },
      component: () => import('@/places/house/HousePlace.vue'),
    },
    { path: '/:rest(.*)*', redirect: { name: 'bench' } },
  ],
})
