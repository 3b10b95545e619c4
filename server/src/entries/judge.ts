import type { ErrorCode } from '@kobrin/contract'
import type { Entry, Fact, FamilyName, ResidentState, Sheet } from '@kobrin/core'
import { familyOf, founds, isAmendment, objectionTo, touchesOf } from '@kobrin/core'

/** An entry that another may amend. */
export interface Target {
  uid: string
  subject: string
  kind: Entry['kind']
  act: string | null
}

/** What has to be known to judge an entry: as it is on record, and what was accepted before it here. */
export interface Known {
  familyOf: (subject: string) => FamilyName | undefined
  target: (uid: string) => Target | undefined
  /** Other entries of the same doing that still count. */
  siblings: (act: string) => readonly string[]
  /** Entries that are taken back together with this one. */
  takenBack: ReadonlySet<string>
  registerOf: (subject: string) => ResidentState['register'] | undefined
  sheet: (id: string) => Sheet | undefined
  /** Whose number it is. */
  holderOf: (number: string) => string | undefined
}

/** What a fact says has to be of this house: what it touches is there, and its kind objects to nothing. */
function aboutHouse(subject: string, fact: Pick<Fact, 'kind' | 'payload'>, known: Known): ErrorCode | null {
  for (const { family, subject: touched } of touchesOf(fact)) {
    if (touched === subject) return 'about_itself'
    if (known.familyOf(touched) !== family) return family === 'place' ? 'unknown_place' : 'unknown_subject'
  }
  const { registerOf, sheet, holderOf } = known
  return objectionTo(fact, { subject, register: registerOf(subject) ?? null, sheet, holderOf })
}

function aboutFact(fact: Fact, known: Known): ErrorCode | null {
  const family = known.familyOf(fact.subject)
  if (founds(fact)) {
    // One whose registration was taken back may be put on record anew.
    const isAnew = family === 'resident' && known.registerOf(fact.subject) === null
    if (family !== undefined && !isAnew) return 'known_subject'
  } else if (family === undefined) return 'unknown_subject'
  else if (family !== familyOf(fact.kind)) return 'wrong_family'
  return aboutHouse(fact.subject, fact, known)
}

/** Why an entry cannot be kept; null when it can. A correction is judged like what it says. */
export function objection(entry: Entry, known: Known): ErrorCode | null {
  if (!isAmendment(entry)) return aboutFact(entry, known)
  if (known.familyOf(entry.subject) === undefined) return 'unknown_subject'
  const target = known.target(entry.payload.target)
  if (target?.subject !== entry.subject) return 'unknown_target'
  if (entry.kind === 'retracted') {
    const left = target.act === null ? [] : known.siblings(target.act)
    return left.every((uid) => known.takenBack.has(uid)) ? null : 'part_of_act'
  }
  if (isAmendment(target)) return 'not_correctable'
  if (target.kind !== entry.payload.to.kind) return 'wrong_kind'
  return aboutHouse(entry.subject, entry.payload.to, known)
}
