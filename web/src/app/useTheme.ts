import { readonly, shallowRef, watchEffect } from 'vue'

export type Theme = 'day' | 'dim'

const KEY = 'kobrin.theme'

function remembered(): Theme {
  return globalThis.localStorage.getItem(KEY) === 'dim' ? 'dim' : 'day'
}

const theme = shallowRef<Theme>('day')

/** The theme of this screen; it stays with the device, because the room does. */
export function useTheme() {
  function set(next: Theme): void {
    theme.value = next
    globalThis.localStorage.setItem(KEY, next)
  }
  return { theme: readonly(theme), set }
}

export function startTheme(): void {
  theme.value = remembered()
  watchEffect(() => {
    document.documentElement.dataset['theme'] = theme.value
  })
}
