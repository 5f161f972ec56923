import '@fontsource/atkinson-hyperlegible/latin-400.css'
import '@fontsource/atkinson-hyperlegible/latin-700.css'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './app/router'
import './styles/base.css'

createApp(App).use(router).mount('#app')
