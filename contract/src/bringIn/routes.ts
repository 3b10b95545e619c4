import * as z from 'zod/mini'
import type { Route } from '../route.ts'

/** Facts of one list at most: a year of a large house. */
const FACTS_MOST = 400_000

/** What a list says, as facts: each is judged like one that a tablet posts. */
export const BringIn = z.strictObject({
  /** What the list is called. */
  file: z.string().check(z.trim(), z.minLength(1), z.maxLength(200)),
  facts: z
    .array(z.looseObject({ uid: z.uuid() }))
    .check(z.minLength(1), z.maxLength(FACTS_MOST))
    .check(z.describe('Entries without an author: the person who brings them in signs them.')),
})
export type BringIn = z.infer<typeof BringIn>

export const BroughtIn = z.strictObject({
  /** Facts that are on record now and were not before; none where any was refused. */
  kept: z.int(),
  /** Facts that were on record already. */
  known: z.int(),
  /** Why nothing was kept, fact by fact; the first of them. */
  refused: z.array(z.strictObject({ uid: z.string(), code: z.string(), message: z.string() })),
  /** The list as it can be looked up and taken back; none where nothing was kept. */
  list: z.optional(z.uuid()),
  /** How many are on record, before it and after. */
  residents: z.optional(z.strictObject({ before: z.int(), after: z.int() })),
})
export type BroughtIn = z.infer<typeof BroughtIn>

/** A list that was brought in, as one act. */
export const BroughtList = z.strictObject({
  id: z.uuid(),
  file: z.string(),
  at: z.string(),
  by: z.uuid(),
  facts: z.int(),
  /** The first of those it put on record. */
  newcomers: z.array(z.strictObject({ id: z.uuid(), name: z.string() })),
  newcomerCount: z.int(),
  takenBack: z.nullable(z.strictObject({ at: z.string(), by: z.uuid() })),
})
export type BroughtList = z.infer<typeof BroughtList>

export const TakenBack = z.strictObject({
  /** Facts that count no more. */
  facts: z.int(),
  residents: z.strictObject({ before: z.int(), after: z.int() }),
  /** Whom somebody has written about since: while anybody stands on it, nothing is taken back. */
  standing: z.array(z.strictObject({ id: z.uuid(), name: z.string() })),
})
export type TakenBack = z.infer<typeof TakenBack>

export const BRING_IN_ROUTES = {
  bringIn: {
    method: 'POST',
    url: '/api/bring-in',
    summary: 'A whole list of facts, all of them or none; what is on record already is passed over',
    access: 'bringIn',
    body: BringIn,
    bodyBytes: 160 * 1024 * 1024,
    answer: BroughtIn,
  },
  broughtLists: {
    method: 'GET',
    url: '/api/bring-in/lists',
    summary: 'The lists that were brought in, the last first',
    access: 'bringIn',
    answer: z.array(BroughtList),
  },
  takeListBack: {
    method: 'POST',
    url: '/api/bring-in/lists/:id/take-back',
    summary: 'Takes back all that a list said, while nobody has written about those it put on record',
    access: 'bringIn',
    params: z.strictObject({ id: z.uuid() }),
    body: z.strictObject({ why: z.string().check(z.trim(), z.minLength(1), z.maxLength(400)) }),
    answer: TakenBack,
  },
} as const satisfies Record<string, Route>
