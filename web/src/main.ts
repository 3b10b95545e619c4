import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { growOn } from './app/later.ts'
import { router } from './app/router.ts'
import './app/tokens.css'
import { startTheme } from './app/useTheme.ts'

startTheme()
const app = createApp(App).use(createPinia()).use(router)
growOn(app)
app.mount('#app')
