import '../../app/uncompiled.ts'
import { createApp } from 'vue'
import { useParts } from '../../app/parts.ts'
import '../../app/page.css'
import '../../app/tokens.css'
import { startTheme } from '../../app/useTheme.ts'
import BalancePage from './BalancePage.vue'

startTheme()
const app = createApp(BalancePage)
useParts(app)
app.mount('#app')
