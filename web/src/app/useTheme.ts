import { useStorage } from '@vueuse/core'
import { computed, watchEffect } from 'vue'
import { usePrinting } from './usePrinting.ts'

export type Theme = 'day' | 'dim'

const stored = useStorage('kobrin.theme', 'day')
const theme = computed<Theme>(() => (stored.value === 'dim' ? 'dim' : 'day'))

/** The theme of this screen; it stays with the device, because the room does. */
export function useTheme() {
  return { theme, set: (next: Theme) => void (stored.value = next) }
}

export function startTheme(): void {
  const printing = usePrinting()
  watchEffect(() => {
    // Paper is white.
    document.documentElement.dataset['theme'] = printing.value ? 'day' : theme.value
  })
}
