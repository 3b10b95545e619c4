import fc from 'fast-check'
import type { Entry, Replacement } from '../facts/entries/entry.ts'
import { replay } from '../facts/fold/replay.ts'
import type { ResidentState } from '../facts/residents/residentState.ts'
import type { Fact, FactKind, FamilyName, Payload } from '../facts/subjects/families.ts'
import { FACT_KINDS, familyOf, kindOf } from '../facts/subjects/families.ts'
import { arbitraryOf } from './arbitraryOf.ts'

const SUBJECT = '00000000-0000-7000-8000-000000000001'
export const KEEPERS: readonly [string, string] = [
  '00000000-0000-7000-8000-00000000000a',
  '00000000-0000-7000-8000-00000000000b',
]

/** 2026-01-01 */
export const FIRST_DAY = 20_454

export function uidOf(number: number): string {
  return `01900000-0000-7000-8000-${number.toString(16).padStart(12, '0')}`
}

let made = 0

/** An entry as a keeper would make it, `minute` after midnight of a day counted from FIRST_DAY. */
export function entryOn<K extends FactKind>(
  day: number,
  kind: K,
  payload: Payload<K>,
  { minute = 480, author = KEEPERS[0], uid = uidOf((made += 1)) } = {},
): Extract<Fact, { kind: K }> {
  const occurredAt = new Date((FIRST_DAY + day) * 86_400_000 + minute * 60_000).toISOString()
  const stamp = { uid, subject: SUBJECT, occurredAt, day: FIRST_DAY + day, author }
  return { ...stamp, kind, payload } as unknown as Extract<Fact, { kind: K }>
}

interface Later {
  uid?: string
  hoursLater?: number
}

function later(target: Entry, { uid = uidOf((made += 1)), hoursLater = 1 }: Later) {
  const occurredAt = new Date(Date.parse(target.occurredAt) + hoursLater * 3_600_000).toISOString()
  const { subject, day, author } = target
  return { uid, subject, day, author, occurredAt }
}

export function retraction(target: Entry, when: Later = {}): Entry {
  return { ...later(target, when), kind: 'retracted', payload: { target: target.uid, why: 'A slip.' } }
}

export function correction<K extends FactKind>(
  target: Extract<Fact, { kind: K }>,
  payload: Payload<K>,
  when: Later = {},
): Entry {
  const to = { kind: target.kind, payload } as unknown as Replacement
  return { ...later(target, when), kind: 'corrected', payload: { target: target.uid, to, why: 'A slip.' } }
}

/** Somebody as it may be put on record. */
export const NEWCOMER: Payload<'registered'> = {
  name: 'Somebody',
  sheet: 'testling',
  stage: 'adult',
  count: null,
  sex: 'unknown',
  hatchedOn: null,
  barrier: null,
  schools: {},
}

/** What a resident's entries say. */
export function told(entries: readonly Entry[]): ResidentState {
  return replay('resident', entries)
}

interface Step {
  what: Pick<Fact, 'kind' | 'payload'>
  gapMinutes: number
  amend: 'no' | 'retract' | 'correct'
  target: number
}

function amendment(stamp: object, target: Entry, { amend, what }: Step): Entry | null {
  if (amend === 'retract')
    return { ...stamp, kind: 'retracted', payload: { target: target.uid, why: 'No.' } } as Entry
  if (target.kind !== what.kind) return null
  return { ...stamp, kind: 'corrected', payload: { target: target.uid, to: what, why: 'So.' } } as Entry
}

function historyOf(steps: readonly Step[]): Entry[] {
  const entries: Entry[] = []
  let minutes = 0
  for (const [index, one] of steps.entries()) {
    minutes += one.gapMinutes
    const ms = FIRST_DAY * 86_400_000 + minutes * 60_000
    const stamp = {
      uid: uidOf(1_000_000 + index),
      subject: SUBJECT,
      occurredAt: new Date(ms).toISOString(),
      day: Math.floor(ms / 86_400_000),
      author: KEEPERS[index % 2] ?? KEEPERS[0],
    }
    const target = entries[one.target % Math.max(1, entries.length)]
    const amended = one.amend !== 'no' && target ? amendment(stamp, target, one) : null
    entries.push(amended ?? ({ ...stamp, ...one.what } as Entry))
  }
  return entries
}

/** What may be recorded of a kind. */
export function saidOf(kind: FactKind): fc.Arbitrary<Pick<Fact, 'kind' | 'payload'>> {
  return arbitraryOf(kindOf(kind).payload).map(
    (payload) => ({ kind, payload }) as Pick<Fact, 'kind' | 'payload'>,
  )
}

/** Histories of one subject of a family in the order of happening, made of every kind of fact the family
 * has, take-backs and corrections among them. */
export function historiesOf(family: FamilyName, maxLength = 40): fc.Arbitrary<Entry[]> {
  const kinds = FACT_KINDS.filter((kind) => familyOf(kind) === family)
  const step: fc.Arbitrary<Step> = fc.record({
    what: fc.oneof(...kinds.map(saidOf)),
    gapMinutes: fc.integer({ min: 0, max: 3000 }),
    amend: fc.oneof(
      { weight: 6, arbitrary: fc.constant('no' as const) },
      { weight: 1, arbitrary: fc.constantFrom('retract' as const, 'correct' as const) },
    ),
    target: fc.nat(50),
  })
  return fc.array(step, { maxLength }).map(historyOf)
}

export const history = historiesOf('resident')
