import { createSharedComposable, useEventListener } from '@vueuse/core'
import { shallowRef } from 'vue'

/** Whether this page is being printed. */
export const usePrinting = createSharedComposable(() => {
  const printing = shallowRef(false)
  useEventListener(globalThis.window, 'beforeprint', () => (printing.value = true))
  useEventListener(globalThis.window, 'afterprint', () => (printing.value = false))
  return printing
})
