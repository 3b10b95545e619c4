import fc from 'fast-check'
import type { Entry, Fact, payloads } from '../entries/entry.ts'

const RESIDENT = '00000000-0000-7000-8000-000000000001'
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
export function entryOn<K extends Fact['kind']>(
  day: number,
  kind: K,
  payload: Extract<Fact, { kind: K }>['payload'],
  { minute = 480, author = KEEPERS[0], uid = uidOf((made += 1)) } = {},
): Entry {
  const occurredAt = new Date((FIRST_DAY + day) * 86_400_000 + minute * 60_000).toISOString()
  return { uid, residentId: RESIDENT, kind, occurredAt, day: FIRST_DAY + day, author, payload } as Entry
}

export function retraction(target: Entry, uid = uidOf((made += 1)), hoursLater = 1): Entry {
  const occurredAt = new Date(Date.parse(target.occurredAt) + hoursLater * 3_600_000).toISOString()
  return { ...target, uid, occurredAt, kind: 'retracted', payload: { target: target.uid, why: 'A slip.' } }
}

const BOXES = [uidOf(9001), uidOf(9002), uidOf(9003)] as const

const some = <T>(...values: T[]) => fc.constantFrom(...values)

const payload = fc.oneof(
  fc.record({
    kind: some('fed' as const),
    payload: fc.record(
      {
        item: some('crickets', 'roaches', 'fruit mix'),
        outcome: some('taken', 'part', 'refused', 'left', 'notOffered'),
        count: fc.integer({ min: 1, max: 12 }),
        grams: some(4, 5, 6),
        supplements: fc.uniqueArray(some('calcium', 'vitamins'), { maxLength: 2 }),
        duty: some('feed', 'insects'),
      },
      { requiredKeys: ['item', 'outcome'] },
    ),
  }),
  fc.record({
    kind: some('bowl' as const),
    payload: fc.record(
      { found: some('empty', 'leftovers', 'full'), leftFraction: some(0.1, 0.5, 1), refilled: fc.boolean() },
      { requiredKeys: ['found'] },
    ),
  }),
  fc.record({ kind: some('watered' as const), payload: fc.constant({}) }),
  fc.record({ kind: some('cleaned' as const), payload: fc.record({ scope: some('spot', 'full') }) }),
  fc.record({
    kind: some('weighed' as const),
    payload: fc.record({ grams: fc.double({ min: 1, max: 3000, noNaN: true }) }),
  }),
  fc.record({
    kind: some('measured' as const),
    payload: fc.record({
      part: some('length', 'headWidth'),
      mm: fc.double({ min: 1, max: 900, noNaN: true }),
    }),
  }),
  fc.record({
    kind: some('ecdysis' as const),
    payload: fc.record({
      stage: some('dull', 'inBlue', 'clear', 'premolt', 'sealedIn', 'shed', 'molted', 'soft', 'hardened'),
    }),
  }),
  fc.record({ kind: some('sighted' as const), payload: fc.record({ seen: fc.boolean() }) }),
  fc.record({
    kind: some('observed' as const),
    payload: fc.record({ text: some('Odd', 'Well'), severity: some('info', 'watch', 'act') }),
  }),
  fc.record({ kind: some('noted' as const), payload: fc.record({ text: some('a', 'b') }) }),
  fc.record({
    kind: some('held' as const),
    payload: fc.record({ hold: some('gravid', 'settling'), reason: some('So') }),
  }),
  fc.record({
    kind: some('moved' as const),
    payload: fc.record(
      {
        to: some(...BOXES),
        expected: fc.integer({ min: 0, max: 30 }),
        found: fc.integer({ min: 0, max: 30 }),
        leaves: some('toClean', 'toHold'),
      },
      { requiredKeys: ['to'] },
    ),
  }),
  fc.record({
    kind: some('vacated' as const),
    payload: fc.record({ enclosure: some(...BOXES), floor: some('cleaned', 'kept') }),
  }),
  fc.record({
    kind: some('counted' as const),
    payload: fc.record(
      { count: fc.integer({ min: 0, max: 30 }), expected: fc.integer({ min: 0, max: 30 }) },
      { requiredKeys: ['count'] },
    ),
  }),
  fc.record({
    kind: some('accounted' as const),
    payload: fc.record({ found: fc.integer({ min: 0, max: 5 }), why: some('So') }),
  }),
  fc.record({ kind: some('floorHeld' as const), payload: fc.record({ at: some('Larder', 'Loft') }) }),
  fc.record({
    kind: some('condition' as const),
    payload: fc.record({ score: some(1, 2.5, 3, 4.5) }),
  }),
  fc.record({ kind: some('released' as const), payload: fc.record({ hold: some('gravid', 'inBlue') }) }),
)

interface Step {
  what: { kind: keyof typeof payloads; payload: unknown }
  gapMinutes: number
  amend: 'no' | 'retract' | 'correct'
  target: number
}

const step: fc.Arbitrary<Step> = fc.record({
  what: payload,
  gapMinutes: fc.integer({ min: 0, max: 3000 }),
  amend: fc.oneof(
    { weight: 6, arbitrary: some('no' as const) },
    { weight: 1, arbitrary: some('retract' as const, 'correct' as const) },
  ),
  target: fc.nat(50),
})

function amendment(stamp: object, target: Entry, { amend, what }: Step): Entry | null {
  if (amend === 'retract')
    return { ...stamp, kind: 'retracted', payload: { target: target.uid, why: 'No.' } } as Entry
  if (target.kind !== what.kind) return null
  return { ...stamp, kind: 'corrected', payload: { target: target.uid, to: what, why: 'So.' } } as Entry
}

/** Histories of one resident in the order of happening, take-backs and corrections among them. */
export const history: fc.Arbitrary<Entry[]> = fc.array(step, { maxLength: 40 }).map((steps) => {
  const entries: Entry[] = []
  let minutes = 0
  for (const [index, one] of steps.entries()) {
    minutes += one.gapMinutes
    const ms = FIRST_DAY * 86_400_000 + minutes * 60_000
    const stamp = {
      uid: uidOf(1_000_000 + index),
      residentId: RESIDENT,
      occurredAt: new Date(ms).toISOString(),
      day: Math.floor(ms / 86_400_000),
      author: KEEPERS[index % 2] ?? KEEPERS[0],
    }
    const target = entries[one.target % Math.max(1, entries.length)]
    const amended = one.amend !== 'no' && target ? amendment(stamp, target, one) : null
    entries.push(amended ?? ({ ...stamp, ...one.what } as Entry))
  }
  return entries
})
