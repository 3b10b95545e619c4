import { prepFor } from '@kobrin/core'
import { defineStore } from 'pinia'
import { useAfterPaint } from '../app/useAfterPaint.ts'
import { useToday } from '../time/useToday.ts'
import { useWalk } from './useWalk.ts'
import { useResidents } from '../residents/useResidents.ts'

/** What the rest of today's walk needs: to carry, to begin for later, litres, minutes. */
export const usePrep = defineStore('prep', () => {
  const walk = useWalk()
  const residents = useResidents()
  const today = useToday()
  const rest = useAfterPaint(() =>
    prepFor(
      today.day,
      walk.stops.flatMap((stop) => stop.residents.map(residents.dayOf)),
    ),
  )
  return { rest }
})
