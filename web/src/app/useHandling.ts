import { watchEffect } from 'vue'
import * as z from 'zod/mini'
import { useStored } from '../kept/useStored.ts'

/** Whether single letters act, for anyone who speaks to the device or rests a hand on its keys. */
const letters = useStored('kobrin.letters', z.boolean(), true)
/** Whether a touch opens a box first, and only the second one logs it. */
const opensFirst = useStored('kobrin.opensFirst', z.boolean(), false)

/** How large letters are, in parts of what the browser calls usual: arms and eyes differ. */
export const LETTER_SIZES = { usual: 100, large: 118, largest: 140 } as const
export type LetterSize = keyof typeof LETTER_SIZES
const LetterSize = z.enum(Object.keys(LETTER_SIZES) as LetterSize[])
const letterSize = useStored<LetterSize>('kobrin.letterSize', LetterSize, 'usual')

/** Where one begins. */
export const START_PAGES = ['walk', 'residents', 'handover'] as const
export type StartPage = (typeof START_PAGES)[number]
const startPage = useStored<StartPage>('kobrin.startPage', z.enum(START_PAGES), 'walk')

/** How this device is handled; it stays with the device, as its theme does. */
export function useHandling() {
  return { letters, opensFirst, letterSize, startPage }
}

/** Letters as large as this device says; where single ones do not act, none is offered. */
export function startHandling(): void {
  const page = document.documentElement
  watchEffect(() => void page.classList.toggle('no-letters', !letters.value))
  watchEffect(() => (page.style.fontSize = `${LETTER_SIZES[letterSize.value]}%`))
}
