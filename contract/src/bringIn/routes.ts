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
})
export type BroughtIn = z.infer<typeof BroughtIn>

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
} as const satisfies Record<string, Route>
