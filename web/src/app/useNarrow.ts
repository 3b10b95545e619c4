import { useMediaQuery } from '@vueuse/core'

/** Whether there is too little room for a panel beside the board; the same width stands in the styles. */
export function useNarrow() {
  return useMediaQuery('(max-width: 899px)')
}
