import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { router } from './app/router.ts'
import './app/tokens.css'
import { startTheme } from './app/useTheme.ts'

startTheme()
createApp(App).use(createPinia()).use(router).mount('#app')
