import * as z from 'zod/mini'
import type { Fact, FactKind } from '../subjects/families.ts'
import { FACT_KINDS, kindOf } from '../subjects/families.ts'
import type { Happening } from '../subjects/kind.ts'
import { Instant, text, Uid } from '../subjects/values.ts'

const posted = {
  uid: Uid,
  subject: Uid.check(z.describe('What it is about: a resident, a place, a lot.')),
  occurredAt: Instant,
  writtenAt: z.optional(Instant).check(z.describe('When it was written down, where that was later.')),
  author: Uid,
  act: z.optional(Uid).check(z.describe('Ties the entries of one doing: accepted and taken back together.')),
}
const stamp = { ...posted, day: z.int().check(z.describe("The site's civil day of `occurredAt`.")) }

/** What a correction says instead: the same kind of fact with another payload. */
export type Replacement = { [K in FactKind]: Pick<Extract<Fact, { kind: K }>, 'kind' | 'payload'> }[FactKind]

function saying(name: FactKind) {
  return { kind: z.literal(name), payload: kindOf(name).payload }
}

// The union of what was made from a list cannot be told by the compiler; the registry tells the type.
function oneOf<T>(options: z.ZodMiniObject[]) {
  return z.discriminatedUnion(
    'kind',
    options as [z.ZodMiniObject, ...z.ZodMiniObject[]],
  ) as unknown as z.ZodMiniType<T>
}

export const Replacement = oneOf<Replacement>(FACT_KINDS.map((name) => z.strictObject(saying(name))))

/** What a correction holds. */
export const Correction = z.strictObject({ target: Uid, to: Replacement, why: text })

type Stamp = Omit<Happening, 'payload'>

/** A statement about another entry of the same subject. It never removes the entry; it changes whether
 * it counts. */
export type Amendment =
  | (Stamp & { kind: 'corrected'; payload: { target: string; to: Replacement; why: string } })
  | (Stamp & { kind: 'retracted'; payload: { target: string; why: string } })

function entriesStamped(marks: z.core.$ZodShape): z.ZodMiniObject[] {
  return [
    ...FACT_KINDS.map((name) => z.strictObject({ ...marks, ...saying(name) })),
    z.strictObject({
      ...marks,
      kind: z.literal('corrected'),
      payload: Correction,
    }),
    z.strictObject({
      ...marks,
      kind: z.literal('retracted'),
      payload: z.strictObject({ target: Uid, why: text }),
    }),
  ]
}

export type Entry = Fact | Amendment
export const Entry = oneOf<Entry>(entriesStamped(stamp))
export type EntryKind = Entry['kind']

/** An entry as a device posts it: the civil day follows from the moment and the site's zone. */
export type PostedEntry = Entry extends infer E ? (E extends Entry ? Omit<E, 'day'> : never) : never
export const PostedEntry = oneOf<PostedEntry>(entriesStamped(posted))

/** What a keeper says before it is stamped with who, when and an identity of its own. */
export type Draft = Entry extends infer E
  ? E extends Entry
    ? Pick<E, 'subject' | 'kind' | 'payload'>
    : never
  : never
