import '@fontsource/atkinson-hyperlegible/latin-400.css'
import '@fontsource/atkinson-hyperlegible/latin-700.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { newQueryClient } from './api/queries'
import App from './App.vue'
import { router } from './app/router'
import 'katex/dist/katex.min.css'
import './styles/base.css'

/** The faces that nearly every page needs: nothing moves when they come a moment later. */
const FACES = [
  '1em Atkinson Hyperlegible',
  'bold 1em Atkinson Hyperlegible',
  '1em KaTeX_Main',
  'italic 1em KaTeX_Math',
]

void Promise.allSettled(FACES.map((face) => document.fonts.load(face))).then(() =>
  createApp(App).use(router).use(VueQueryPlugin, { queryClient: newQueryClient() }).mount('#app'),
)
