import type { Verdict } from '@kobrin/core'
import { litresOf, recordSays } from '@kobrin/core'
import { defineStore } from 'pinia'
import { useCurves } from '../curves/useCurves.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { perResident } from '../residents/perResident.ts'
import { useResidents } from '../residents/useResidents.ts'

/** What the record says of somebody, with what it proposes for a person to decide. Worked out once, and again when
 * something is said of that one: a list of thousands is of what is known already. */
export const useVerdicts = defineStore('verdicts', () => {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const residents = useResidents()
  const today = useToday()
  const curves = useCurves()

  const verdictsOf = perResident((residentId): Verdict[] => {
    const resident = site.residents.get(residentId)
    if (!resident) return []
    const box = site.enclosures.get(residents.homeOf(residentId) ?? '')
    return recordSays({
      day: today.day,
      plan: plans.planOf(resident),
      state: record.stateOf(residentId),
      about: { litres: box ? litresOf(box) : null, box: box ?? null },
      today: residents.dayOf(residentId),
      offCurve: curves.offOf(residentId),
    })
  })

  return { verdictsOf }
})
