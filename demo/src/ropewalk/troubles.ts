import type { Day } from '@kobrin/core'
import type { Trouble } from '../husbandry/trouble.ts'
import type { HouseResident } from '../resident.ts'

/** Who of the Ropewalk has what, since so many days: so that the record has something to say. */
const TROUBLES: readonly {
  sheet: string
  stage: string
  /** The how manieth of its kind. */
  nth: number
  kind: Trouble['kind']
  daysAgo: number
  aWeek: number
}[] = [
  { sheet: 'leopard-gecko', stage: 'adult', nth: 1, kind: 'wasting', daysAgo: 75, aWeek: 0.016 },
  { sheet: 'kingsnake', stage: 'adult', nth: 0, kind: 'wasting', daysAgo: 80, aWeek: 0.008 },
  { sheet: 'blue-tongued-skink', stage: 'adult', nth: 1, kind: 'overfed', daysAgo: 190, aWeek: 0.012 },
  { sheet: 'western-hognose', stage: 'adult', nth: 0, kind: 'offFood', daysAgo: 40, aWeek: 0 },
  { sheet: 'fire-salamander', stage: 'adult', nth: 2, kind: 'gone', daysAgo: 19, aWeek: 0 },
  { sheet: 'kingsnake', stage: 'adult', nth: 1, kind: 'signStays', daysAgo: 60, aWeek: 0 },
]

export function troublesOf(residents: readonly HouseResident[], today: Day): Map<string, Trouble> {
  const troubles = new Map<string, Trouble>()
  for (const { sheet, stage, nth, kind, daysAgo, aWeek } of TROUBLES) {
    const one = residents.filter((resident) => resident.sheet === sheet && resident.stage === stage)[nth]
    if (one) troubles.set(one.id, { kind, from: today - daysAgo, aWeek })
  }
  return troubles
}
