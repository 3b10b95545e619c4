import { prepFor } from '@kobrin/core'
import { defineStore } from 'pinia'
import { useAfterPaint } from '../app/useAfterPaint.ts'
import { useToday } from '../time/useToday.ts'
import { useRound } from './useRound.ts'

/** What the rest of today's round needs: to carry, to begin for later, litres, minutes. */
export const usePrep = defineStore('prep', () => {
  const round = useRound()
  const today = useToday()
  const rest = useAfterPaint(() =>
    prepFor(
      today.day,
      round.stops.flatMap(({ residents }) => residents.map(round.dayOf)),
    ),
  )
  return { rest }
})
