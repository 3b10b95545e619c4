import { z } from 'zod'
import { HoldKind } from '../holds/holdKind.ts'

/** Which duty of the plan a routine entry answers, when a plan has several of one kind. */
const duty = z.string().min(1).max(40).optional()
const text = z.string().trim().min(1).max(4000)
const day = z.int()
const count = z.int().min(0).max(1_000_000)
const confirmed = z.literal(true).optional().describe('The keeper was asked about this value and kept it.')

export const FeedOutcome = z.enum(['taken', 'part', 'refused', 'left', 'notOffered'])
export type FeedOutcome = z.infer<typeof FeedOutcome>

export const EcdysisStage = z.enum([
  'dull',
  'inBlue',
  'clear',
  'premolt',
  'sealedIn',
  'shed',
  'molted',
  'soft',
  'hardened',
])
export type EcdysisStage = z.infer<typeof EcdysisStage>

export const BodyPart = z.enum([
  'length',
  'girth',
  'headWidth',
  'eyeGap',
  'legSpan',
  'carapaceLength',
  'abdomenLength',
  'abdomenWidth',
  'shellDiameter',
])
export type BodyPart = z.infer<typeof BodyPart>

export const Severity = z.enum(['info', 'watch', 'act', 'urgent'])
export type Severity = z.infer<typeof Severity>

/** Where old skin may stay on after a shed or a molt. */
export const SkinLeft = z.enum(['eyeCaps', 'tailTip', 'toes', 'body', 'limbs'])
export type SkinLeft = z.infer<typeof SkinLeft>

/** What may be recorded about a resident. Amounts are SI: grams, millimetres, litres. */
export const payloads = {
  arrived: z.strictObject({ enclosure: z.uuid(), source: text.optional() }),
  expected: z.strictObject({ enclosure: z.uuid(), from: text.optional() }),
  moved: z.strictObject({
    to: z.uuid(),
    why: text.optional(),
    from: z.uuid().optional(),
    helpers: z.array(z.uuid()).max(6).optional(),
    expected: count.optional(),
    found: count.optional(),
    /** What becomes of the place it left. */
    leaves: z.enum(['toClean', 'toHold']).optional(),
  }),
  vacated: z.strictObject({ enclosure: z.uuid(), floor: z.enum(['cleaned', 'kept']) }),
  counted: z.strictObject({ count, expected: count.optional() }),
  accounted: z.strictObject({ found: count, why: text }),
  floorHeld: z.strictObject({
    at: text,
    from: z.uuid().optional(),
    litres: z.number().positive().max(5000).optional(),
  }),
  floorChecked: z.strictObject({
    floor: z.uuid().describe('The entry that put it aside.'),
    found: z.enum(['nothing', 'babies', 'eggs']),
    count: count.optional(),
    became: z.enum(['recount', 'resident', 'waiting']).optional(),
  }),
  floorReleased: z.strictObject({ floor: z.uuid(), why: text.optional() }),
  checked: z.strictObject({ duty }),
  condition: z.strictObject({ score: z.number().min(1).max(5).multipleOf(0.5) }),
  fed: z.strictObject({
    duty,
    item: z.string().min(1).max(60),
    size: z.string().min(1).max(40).optional(),
    count: z.number().positive().max(100_000).optional(),
    grams: z.number().positive().max(100_000).optional(),
    supplements: z.array(z.string().min(1).max(40)).max(6).optional(),
    outcome: FeedOutcome,
    why: text.optional(),
    confirmed,
  }),
  bowl: z.strictObject({
    duty,
    found: z.enum(['empty', 'leftovers', 'full']),
    leftFraction: z.number().min(0).max(1).optional(),
    refilled: z.boolean().optional(),
  }),
  watered: z.strictObject({ duty, litres: z.number().positive().max(1000).optional(), confirmed }),
  cleaned: z.strictObject({ duty, scope: z.enum(['spot', 'full']) }),
  moistened: z.strictObject({
    duty,
    litres: z.number().positive().max(1000).optional(),
    end: z.enum(['whole', 'dampEnd', 'dryEnd']).optional(),
    confirmed,
  }),
  weighed: z.strictObject({ duty, grams: z.number().positive().max(1_000_000), confirmed }),
  measured: z.strictObject({ duty, part: BodyPart, mm: z.number().positive().max(20_000), confirmed }),
  ecdysis: z.strictObject({
    stage: EcdysisStage,
    how: z.enum(['whole', 'inPieces']).optional(),
    retained: z.array(SkinLeft).max(5).optional(),
  }),
  sighted: z.strictObject({ duty, seen: z.boolean() }),
  droppings: z.strictObject({ look: z.enum(['normal', 'loose', 'hard', 'bloody', 'urates', 'none']) }),
  observed: z.strictObject({ text, severity: Severity }),
  noted: z.strictObject({ text }),
  held: z.strictObject({ hold: HoldKind, until: day.optional(), reason: text }),
  released: z.strictObject({ hold: HoldKind, reason: text.optional() }),
} as const

const stamp = {
  uid: z.uuid(),
  residentId: z.uuid(),
  /** UTC with milliseconds, so that instants sort as text. */
  occurredAt: z.iso.datetime({ precision: 3 }),
  /** The site's civil day of `occurredAt`. */
  day,
  author: z.uuid(),
}

function fact<K extends keyof typeof payloads>(kind: K) {
  return z.strictObject({ ...stamp, kind: z.literal(kind), payload: payloads[kind] })
}

/** A statement about the resident. */
export const Fact = z.discriminatedUnion('kind', [
  fact('arrived'),
  fact('moved'),
  fact('expected'),
  fact('vacated'),
  fact('counted'),
  fact('accounted'),
  fact('floorHeld'),
  fact('floorChecked'),
  fact('floorReleased'),
  fact('checked'),
  fact('condition'),
  fact('fed'),
  fact('bowl'),
  fact('watered'),
  fact('cleaned'),
  fact('moistened'),
  fact('weighed'),
  fact('measured'),
  fact('ecdysis'),
  fact('sighted'),
  fact('droppings'),
  fact('observed'),
  fact('noted'),
  fact('held'),
  fact('released'),
])
export type Fact = z.infer<typeof Fact>
export type FactKind = Fact['kind']
export type Payload<K extends FactKind> = Extract<Fact, { kind: K }>['payload']

function replacement<K extends keyof typeof payloads>(kind: K) {
  return z.strictObject({ kind: z.literal(kind), payload: payloads[kind] })
}

/** What a correction says instead: the same kind of fact with another payload. */
export const Replacement = z.discriminatedUnion('kind', [
  replacement('arrived'),
  replacement('moved'),
  replacement('expected'),
  replacement('vacated'),
  replacement('counted'),
  replacement('accounted'),
  replacement('floorHeld'),
  replacement('floorChecked'),
  replacement('floorReleased'),
  replacement('checked'),
  replacement('condition'),
  replacement('fed'),
  replacement('bowl'),
  replacement('watered'),
  replacement('cleaned'),
  replacement('moistened'),
  replacement('weighed'),
  replacement('measured'),
  replacement('ecdysis'),
  replacement('sighted'),
  replacement('droppings'),
  replacement('observed'),
  replacement('noted'),
  replacement('held'),
  replacement('released'),
])
export type Replacement = z.infer<typeof Replacement>

/** A statement about another entry. It never removes the entry; it changes whether it counts. */
export const Amendment = z.discriminatedUnion('kind', [
  z.strictObject({
    ...stamp,
    kind: z.literal('corrected'),
    payload: z.strictObject({ target: z.uuid(), to: Replacement, why: text }),
  }),
  z.strictObject({
    ...stamp,
    kind: z.literal('retracted'),
    payload: z.strictObject({ target: z.uuid(), why: text }),
  }),
])
export type Amendment = z.infer<typeof Amendment>

export const Entry = z.discriminatedUnion('kind', [Fact, Amendment])
export type Entry = z.infer<typeof Entry>
export type EntryKind = Entry['kind']

/** What a keeper says before it is stamped with who, when and an identity of its own. */
export type Draft = Entry extends infer E
  ? E extends Entry
    ? Pick<E, 'residentId' | 'kind' | 'payload'>
    : never
  : never
