import { pointsOf } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, toValue } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useKeptFloors } from '../lots/useKeptFloors.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import type { Exception } from './ask.ts'
import { kindAsked } from './ask.ts'
import { exceptionsFor } from './exceptions.ts'

/** What can be said of a resident now besides "as planned", by the person here. */
export function useOffered(residentId: MaybeRefOrGetter<string>) {
  const site = useSite()
  const record = useRecord()
  const keptFloors = useKeptFloors()
  const people = usePeople()
  const plans = usePlans()
  const residents = useResidents()
  const today = useToday()

  return computed<Exception[]>(() => {
    const one = site.residents.get(toValue(residentId))
    if (!one) return []
    const all = exceptionsFor({
      residentId: one.id,
      group: site.species.get(one.sheet)?.group ?? 'lizard',
      day: residents.dayOf(one.id),
      today: today.day,
      state: record.stateOf(one.id),
      floors: keptFloors.of(one.id),
      lives: one.lives,
      boxLeft: residents.boxLeftBy(one.id),
      home: residents.homeOf(one.id) ?? null,
      points: pointsOf(
        plans.planOf(one),
        residents.dayOf(one.id).holds.map(({ hold }) => hold),
      ),
    })
    return all.filter((exception) => people.maySay({ kind: kindAsked(exception.ask) }))
  })
}
