import type { DoneInBox, Draft, Readings, ResidentDay, Task, Verdict } from '@kobrin/core'
import { asPlanned as plannedFor, countOf as countIn, doneInBox, placeOf, residentDay } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useKeptFloors } from '../lots/useKeptFloors.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import type { Resident } from '../site/useSite.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { grouped } from './grouped.ts'
import { perResident } from './perResident.ts'

/** Whatever is wrong with one resident is shown at that resident. */
const NO_PLAN: Verdict = { severity: 'act', what: { code: 'noPlan' }, because: [] }

const NOTHING_READ: Readings = {}

/** Everyone who lives here: their day, their box, how many they are. */
export const useResidents = defineStore('residents', () => {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const keptFloors = useKeptFloors()
  const people = usePeople()
  const today = useToday()

  // A box changes far less often than a state: the building is drawn again only when somebody moves.
  const homeOf = perResident((residentId) => placeOf(record.stateOf(residentId))?.enclosure)

  function readingsAt(enclosureId: string | undefined): Readings {
    return (enclosureId !== undefined && record.readings.get(enclosureId)) || NOTHING_READ
  }

  /** What was last done in the box of somebody, no matter which tenant it was said of. */
  function boxDoneOf(residentId: string): DoneInBox {
    const home = homeOf(residentId)
    if (home === undefined) return {}
    const tenants = livingIn(home).map((one) => ({ state: record.stateOf(one.id), plan: plans.planOf(one) }))
    return doneInBox(record.placeState(home), tenants)
  }

  /** What says that a task of somebody was done as planned: of its box, where it is the box that it is done to. */
  function asPlanned(residentId: string, task: Task): Draft | null {
    const resident = site.residents.get(residentId)
    const enclosure = homeOf(residentId)
    const home = resident && enclosure !== undefined ? { enclosure, plan: plans.planOf(resident) } : undefined
    return plannedFor(residentId, task, home)
  }

  /** What somebody needs on a day, as far as the record goes now; without a minute all day long. */
  function dayOn(residentId: string, { day, minute }: { day: number; minute?: number }): ResidentDay {
    const resident = site.residents.get(residentId)
    if (!resident) return { tasks: [], holds: [], verdicts: [], weight: null }
    const itsDay = residentDay({
      day,
      ...(minute !== undefined && { minute }),
      plan: plans.planOf(resident),
      state: record.stateOf(residentId),
      floors: keptFloors.of(residentId),
      readings: readingsAt(homeOf(residentId)),
      box: boxDoneOf(residentId),
      hemisphere: site.site?.hemisphere,
    })
    return plans.hasPlan(resident) ? itsDay : { ...itsDay, verdicts: [NO_PLAN, ...itsDay.verdicts] }
  }

  const dayOf = perResident((residentId) => dayOn(residentId, { day: today.day, minute: today.minute }))

  const byHome = computed(() => grouped(site.residents.values(), ({ id }) => homeOf(id)))

  function livingIn(enclosureId: string | undefined): readonly Resident[] {
    return (enclosureId !== undefined && byHome.value.get(enclosureId)) || []
  }

  function isTaken(enclosureId: string): boolean {
    return byHome.value.has(enclosureId)
  }

  /** The box that would stand empty without them, where the person at work here may say so. */
  function boxLeftBy(residentId: string): string | null {
    const home = homeOf(residentId)
    if (home === undefined || !people.maySay({ kind: 'vacated' })) return null
    return livingIn(home).length === 1 ? home : null
  }

  function nameOf(residentId: string): string {
    const known = site.residents.get(residentId)
    if (known) return known.name
    const number = site.site?.numbers[residentId]
    // Long gone: by its number, until its name is here.
    if (number !== undefined) record.need(residentId)
    return number ?? ''
  }

  /** Animals in a colony: as last counted, else as it was put on record. */
  function countOf(residentId: string): number | null {
    return countIn(record.stateOf(residentId))
  }

  return { dayOf, dayOn, asPlanned, readingsAt, homeOf, livingIn, isTaken, boxLeftBy, nameOf, countOf }
})
