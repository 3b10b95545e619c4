import * as z from 'zod/mini'
import { useStored } from '../kept/useStored.ts'

/** Who was chosen from a list to be weighed. */
export const chosenToWeigh = useStored<string[]>('kobrin.toWeigh', z.array(z.string()), [], {
  storage: sessionStorage,
})
