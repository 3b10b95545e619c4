import { useStorage } from '@vueuse/core'
import { watchEffect } from 'vue'

/** Whether single letters act, for anyone who speaks to the device or rests a hand on its keys. */
const letters = useStorage('kobrin.letters', true)
/** Whether a touch opens a box first, and only the second one logs it. */
const opensFirst = useStorage('kobrin.opensFirst', false)

/** How large letters are, in parts of what the browser calls usual: arms and eyes differ. */
export const LETTER_SIZES = { usual: 100, large: 118, largest: 140 } as const
export type LetterSize = keyof typeof LETTER_SIZES
const letterSize = useStorage<LetterSize>('kobrin.letterSize', 'usual')

/** Where one begins. */
export const START_PAGES = ['walk', 'residents', 'handover'] as const
export type StartPage = (typeof START_PAGES)[number]
const startPage = useStorage<StartPage>('kobrin.startPage', 'walk')

/** How this device is handled; it stays with the device, as its theme does. */
export function useHandling() {
  return { letters, opensFirst, letterSize, startPage }
}

/** What was written there by another hand is no size. */
function percentOf(stored: string): number {
  const sizes: Readonly<Record<string, number>> = LETTER_SIZES
  return sizes[stored] ?? LETTER_SIZES.usual
}

/** Letters as large as this device says; where single ones do not act, none is offered. */
export function startHandling(): void {
  const page = document.documentElement
  watchEffect(() => void page.classList.toggle('no-letters', !letters.value))
  watchEffect(() => (page.style.fontSize = `${percentOf(letterSize.value)}%`))
}
