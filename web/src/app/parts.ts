import PrimeVue from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import ToastService from 'primevue/toastservice'
import type { App } from 'vue'
import { locale } from './locale.ts'
import { nonceOf } from './nonce.ts'
import { preset } from './preset.ts'

const grown = new WeakSet<App>()

/** Brings in what the interface is made of. Its styles are written by the page itself: the server's policy
 * knows them by the page's nonce. */
export function useParts(app: App): void {
  if (grown.has(app)) return
  grown.add(app)
  const nonce = nonceOf()
  app
    .use(PrimeVue, {
      locale,
      theme: { preset, options: { darkModeSelector: false } },
      ...(nonce && { csp: { nonce } }),
    })
    .use(ToastService)
    .use(ConfirmationService)
}
