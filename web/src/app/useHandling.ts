import { useStorage } from '@vueuse/core'
import { watchEffect } from 'vue'

/** Whether single letters act, for whoever speaks to the device or rests a hand on its keys. */
const letters = useStorage('kobrin.letters', true)
/** Whether a touch opens a box first, and only the second one logs it. */
const opensFirst = useStorage('kobrin.opensFirst', false)

/** How this device is handled; it stays with the device, as its theme does. */
export function useHandling() {
  return { letters, opensFirst }
}

/** Where letters do not act, none is offered. */
export function startHandling(): void {
  watchEffect(() => void document.documentElement.classList.toggle('no-letters', !letters.value))
}
