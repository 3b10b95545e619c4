import { prepFor } from '@kobrin/core'
import { computed } from 'vue'
import { useToday } from '../time/useToday.ts'
import { useRound } from './useRound.ts'

/** What the rest of today's round needs: to carry, to begin for later, litres, minutes. */
export function usePrep() {
  const round = useRound()
  const today = useToday()
  return computed(() =>
    prepFor(
      today.day,
      round.stops.flatMap(({ residents }) => residents.map(round.dayOf)),
    ),
  )
}
