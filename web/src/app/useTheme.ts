import { watchEffect } from 'vue'
import * as z from 'zod/mini'
import { useStored } from '../kept/useStored.ts'
import { usePrinting } from './usePrinting.ts'

const Theme = z.enum(['day', 'dim'])
export type Theme = z.infer<typeof Theme>

const theme = useStored<Theme>('kobrin.theme', Theme, 'day')

/** The theme of this screen; it stays with the device, because the room does. */
export function useTheme() {
  return { theme, set: (next: Theme) => void (theme.value = next) }
}

export function startTheme(): void {
  const printing = usePrinting()
  watchEffect(() => {
    // Paper is white.
    document.documentElement.dataset['theme'] = printing.value ? 'day' : theme.value
  })
}
