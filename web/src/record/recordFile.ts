import type { Entry, ResidentState, Sheet } from '@kobrin/core'
import { effectiveFacts, isoDay } from '@kobrin/core'

/** Who a record is about, as it goes along with them. */
export interface Whose {
  house: string
  number: string
  sheet: Pick<Sheet, 'common' | 'latin'> | undefined
  state: Pick<ResidentState, 'register' | 'identity'>
  entries: readonly Entry[]
  nameOf: (person: string) => string
  /** An entry in one line. */
  say: (entry: Entry) => string
}

/** The record of one resident as data, for anyone who keeps it next: who it is, and what counts of what was said, each
 * in words and as data, with its day and its author. */
export function recordFile({ house, number, sheet, state, entries, nameOf, say }: Whose): string {
  const { register, identity } = state
  const facts = effectiveFacts(entries).map((fact) => ({
    day: isoDay(fact.day),
    at: fact.occurredAt,
    by: nameOf(fact.author),
    says: say(fact),
    kind: fact.kind,
    data: fact.payload,
  }))
  const file = {
    recordOf: register?.name ?? '',
    number,
    keptBy: house,
    species: sheet && { common: sheet.common, latin: sheet.latin },
    register: register && {
      ...register,
      hatchedOn: register.hatchedOn === null ? null : isoDay(register.hatchedOn),
    },
    ...(identity && { identity }),
    facts,
  }
  return JSON.stringify(file, null, 2)
}
