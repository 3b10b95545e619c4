import './app/uncompiled.ts'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { growOn } from './app/later.ts'
import { router } from './app/router.ts'
import './app/tokens.css'
import { startHandling } from './app/useHandling.ts'
import { startTheme } from './app/useTheme.ts'

startTheme()
startHandling()
const app = createApp(App).use(createPinia()).use(router)
growOn(app)
app.mount('#app')
