import type { Entry, FamilyName, LotState, PlaceState, Readings, Register, ResidentState } from '@kobrin/core'
import { emptyLot, emptyPlace, emptyResident } from '@kobrin/core'
import { shallowReactive } from 'vue'
import { newVersion } from '../kept/newVersion.ts'
import type { AnyState } from './ledger.ts'
import { createLedger } from './ledger.ts'
import type * as Writing from './writing.ts'

const NOBODY = emptyResident()
const NOWHERE = emptyPlace()
const NOTHING = emptyLot()
const EMPTY: Record<FamilyName, AnyState> = { resident: NOBODY, place: NOWHERE, lot: NOTHING }

interface BeliefsOptions {
  /** What folds entries; only there once something was written or heard. */
  folding: () => Pick<
    typeof Writing,
    'continueFrom' | 'echoesOf' | 'effectiveFacts' | 'founds' | 'isAmendment' | 'familyOf'
  >
  onRegister: (residentId: string, register: Register | null) => void
  /** Something about another said something of a subject: not sure when only the server can tell what that adds up to. */
  onEchoed: (subject: string, isSure: boolean) => void
}

/** What this device believes about every resident, place and lot: the server's folds, and what was made
 * or heard since. */
export function createBeliefs({ folding, onRegister, onEchoed }: BeliefsOptions) {
  /** Old floors that are kept, by lot. */
  const lots = shallowReactive(new Map<string, LotState>())
  /** Places that wait for something, by enclosure. */
  const waitingPlaces = shallowReactive(new Map<string, NonNullable<PlaceState['waits']>>())

  /** What was last read, by enclosure. */
  const readings = shallowReactive(new Map<string, Readings>())

  function putPlace(place: string, { waits, readings: read }: PlaceState): void {
    if (read) readings.set(place, read)
    else readings.delete(place)
    if (waits) waitingPlaces.set(place, waits)
    else waitingPlaces.delete(place)
  }

  const ledger = createLedger({
    carryOn: (base, since) => {
      const carried = folding().continueFrom(base, since)
      // What a newer version believes of it, only the server can tell.
      return newVersion.isOlder() ? { ...carried, complete: false } : carried
    },
    emptyOf: (family) => EMPTY[family],
    familyOf: (entry) => (folding().isAmendment(entry) ? null : (folding().familyOf(entry.kind) ?? null)),
    begins: (entry) => !folding().isAmendment(entry) && folding().founds(entry),
    echoesIn: (entries) => folding().effectiveFacts(entries).flatMap(folding().echoesOf),
    onEchoed,
    onBelieved(subject, family, state) {
      if (family === 'resident') onRegister(subject, (state as ResidentState).register)
      if (family === 'lot') lots.set(subject, state as LotState)
      if (family === 'place') putPlace(subject, state as PlaceState)
    },
  })

  return {
    ledger,
    lots,
    waitingPlaces,
    readings,
    stateOf: (residentId: string) => (ledger.stateOf(residentId) ?? NOBODY) as ResidentState,
    placeState: (placeId: string) => (ledger.stateOf(placeId) ?? NOWHERE) as PlaceState,
    recent: (subject: string): readonly Entry[] => ledger.recent(subject),
  }
}
