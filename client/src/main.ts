import '@fontsource/atkinson-hyperlegible/latin-400.css'
import '@fontsource/atkinson-hyperlegible/latin-700.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { newQueryClient } from './api/queries'
import App from './App.vue'
import { router } from './app/router'
import './styles/base.css'

createApp(App).use(router).use(VueQueryPlugin, { queryClient: newQueryClient() }).mount('#app')
