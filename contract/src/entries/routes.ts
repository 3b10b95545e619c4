import type { AmountUnit, FamilyName } from '@kobrin/core'
import * as z from 'zod/mini'
import type { Route } from '../route.ts'
import { BatchAnswer, EntryEnvelope, KeptEntries } from './posting.ts'

const ENTRIES = '/api/entries'
const bookmark = z
  ._default(
    z.string().check(z.maxLength(4000), z.regex(/^(\d+:\d+(,\d+:\d+)*)?$/, 'not a place in the feed')),
    '',
  )
  .check(z.describe('How far it was read: the place in each stream, "1:204,2:17".'))

const SubjectFold = z.strictObject({
  family: z.string() as unknown as z.ZodMiniType<FamilyName>,
  upTo: z.string().check(z.describe('The places in the feed up to which it is folded.')),
  state: z.looseObject({}),
})

/** A fact about another subject, as far as it is about this one: "eaten, 6 pieces". */
const Traced = z.strictObject({
  uid: z.string(),
  /** The subject of the fact. */
  other: z.string(),
  how: z.string(),
  occurredAt: z.string(),
  amount: z.optional(
    z.strictObject({ value: z.number(), unit: z.string() as unknown as z.ZodMiniType<AmountUnit> }),
  ),
})

export const ENTRY_ROUTES = {
  states: {
    method: 'GET',
    report: true,
    url: '/api/states',
    summary: 'What the entries add up to for every subject, or for those asked for',
    access: 'readEntries',
    querystring: z.strictObject({
      of: z.optional(z.string().check(z.maxLength(8000))),
      /** Those that are open or were written about lately, or all others; without it, every one. */
      held: z.optional(z.enum(['open', 'closed'])),
    }),
    answer: z.strictObject({
      head: z.string(),
      /** The server's clock, milliseconds since 1970 UTC: tablets drift. */
      now: z.number(),
      /** The revision of the folds: a page that knows an older one is to be reloaded. */
      revision: z.optional(z.int()),
      states: z.record(z.string(), SubjectFold),
    }),
  },
  append: {
    method: 'POST',
    url: ENTRIES,
    summary: 'Append entries; posting one again changes nothing',
    access: 'writeEntries',
    // A page has no need of all that an entry may say: the server describes it, and checks each for itself.
    body: EntryEnvelope,
    bodyBytes: 2 * 1024 * 1024,
    answer: BatchAnswer,
  },
  since: {
    method: 'GET',
    report: true,
    url: ENTRIES,
    summary: 'Entries after a place in the feed, in the order of each stream, at most 1000',
    access: 'readEntries',
    querystring: z.strictObject({ after: bookmark }),
    answer: KeptEntries,
  },
  record: {
    method: 'GET',
    report: true,
    url: '/api/subjects/:subject/entries',
    summary: 'Every entry about a subject',
    access: 'readEntries',
    params: z.strictObject({ subject: z.uuid() }),
    answer: KeptEntries,
  },
  traced: {
    method: 'GET',
    report: true,
    url: '/api/subjects/:subject/touches',
    summary: 'What facts that count about others say of a subject, in the order in which it happened',
    access: 'readEntries',
    params: z.strictObject({ subject: z.uuid() }),
    answer: z.strictObject({ touches: z.array(Traced) }),
  },
  ofDay: {
    method: 'GET',
    report: true,
    url: '/api/days/:day/entries',
    summary: 'Every entry of one civil day, whoever it is about',
    access: 'readEntries',
    params: z.strictObject({
      day: z.coerce.number<number>().check(z.int(), z.nonnegative(), z.maximum(100_000)),
    }),
    answer: KeptEntries,
  },
  act: {
    method: 'GET',
    report: true,
    url: '/api/acts/:act/entries',
    summary: 'The entries of one doing',
    access: 'readEntries',
    params: z.strictObject({ act: z.uuid() }),
    answer: KeptEntries,
  },
  feed: {
    method: 'GET',
    url: '/api/feed',
    summary: 'Entries and changes as they are kept, as server-sent events',
    access: 'readEntries',
    querystring: z.strictObject({
      after: bookmark,
      /** What other routes are told in a header. */
      revision: z.optional(z.coerce.number<number>().check(z.int(), z.nonnegative())),
    }),
  },
} as const satisfies Record<string, Route>
