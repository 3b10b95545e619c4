import type { Entry, FamilyName, Register, StateOf } from '@kobrin/core'
import { newVersion } from '../kept/newVersion.ts'
import { lotsHere } from '../lots/lotsHere.ts'
import { placesHere } from '../places/placesHere.ts'
import { residentsHere } from '../residents/residentsHere.ts'
import type { AnyState } from './page.ts'
import { createLedger } from './ledger.ts'
import type * as Writing from './writing.ts'

/** What is kept of a family on this device, and what of it is shown. */
interface FamilyHere<S> {
  /** Of a subject about which nothing is on record. */
  empty: S
  believe: (subject: string, state: S) => void
  shown: object
}
type FamiliesHere = { [F in FamilyName]: FamilyHere<StateOf<F>> }

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

/** What this device believes about every subject: the server's folds, and what was made or heard since. A family
 * costs its line in `families`. */
export function createBeliefs({ folding, onRegister, onEchoed }: BeliefsOptions) {
  const families = {
    resident: residentsHere(onRegister),
    place: placesHere(),
    lot: lotsHere(),
  } satisfies FamiliesHere
  const hereOf = (family: FamilyName) => families[family] as FamilyHere<AnyState>

  const ledger = createLedger({
    carryOn: (base, since) => {
      const carried = folding().continueFrom(base, since)
      // What a newer version believes of it, only the server can tell.
      return newVersion.isOlder() ? { ...carried, complete: false } : carried
    },
    emptyOf: (family) => hereOf(family).empty,
    familyOf: (entry) => (folding().isAmendment(entry) ? null : (folding().familyOf(entry.kind) ?? null)),
    begins: (entry) => !folding().isAmendment(entry) && folding().founds(entry),
    echoesIn: (entries) => folding().effectiveFacts(entries).flatMap(folding().echoesOf),
    onEchoed,
    onBelieved: (subject, family, state) => hereOf(family).believe(subject, state),
  })

  /** What is believed of a subject of a family. */
  function stateIn<F extends FamilyName>(family: F, subject: string): StateOf<F> {
    return (ledger.stateOf(subject) ?? families[family].empty) as StateOf<F>
  }

  return {
    ledger,
    ...families.lot.shown,
    ...families.place.shown,
    stateOf: (residentId: string) => stateIn('resident', residentId),
    placeState: (placeId: string) => stateIn('place', placeId),
    recent: (subject: string): readonly Entry[] => ledger.recent(subject),
  }
}
