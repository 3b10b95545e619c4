import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import datatable from '@primeuix/themes/aura/datatable'
import virtualscroller from '@primeuix/themes/aura/virtualscroller'
import PrimeVue from 'primevue/config'
import { getCurrentInstance } from 'vue'

const Grown = definePreset(
  { ...base, components: { datatable, virtualscroller } },
  {
    semantic: {
      primary: {
        color: 'var(--focus)',
        contrastColor: 'var(--on-focus)',
        hoverColor: 'var(--focus)',
        activeColor: 'var(--focus)',
      },
      focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '-3px' },
      colorScheme: {
        light: {
          primary: { color: 'var(--focus)', contrastColor: 'var(--on-focus)' },
          highlight: {
            background: 'var(--wash)',
            focusBackground: 'var(--wash)',
            color: 'var(--ink)',
            focusColor: 'var(--ink)',
          },
          content: {
            background: 'var(--paper)',
            hoverBackground: 'var(--wash)',
            borderColor: 'var(--line)',
            color: 'var(--ink)',
            hoverColor: 'var(--ink)',
          },
          text: {
            color: 'var(--ink)',
            hoverColor: 'var(--ink)',
            mutedColor: 'var(--soft)',
            hoverMutedColor: 'var(--ink)',
          },
          formField: {
            background: 'var(--glass)',
            borderColor: 'var(--control-line)',
            color: 'var(--ink)',
            placeholderColor: 'var(--soft)',
          },
        },
      },
    },
  },
)

/** Brings PrimeVue in with our own tokens, on the pages that use it and not before. */
export function usePrimeVue(): void {
  const app = getCurrentInstance()?.appContext.app
  if (!app || '$primevue' in app.config.globalProperties) return
  const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content
  app.use(PrimeVue, {
    theme: { preset: Grown, options: { darkModeSelector: false } },
    ...(nonce && { csp: { nonce } }),
  })
}
