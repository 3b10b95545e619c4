import { useSessionStorage } from '@vueuse/core'

/** Who was chosen from a list to be weighed. */
export const chosenToWeigh = useSessionStorage<string[]>('kobrin.toWeigh', [])
