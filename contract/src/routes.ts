import { z } from 'zod'
import { BatchAnswer, EntryBatch, KeptEntries } from './entries/posting.ts'
import { PATHS } from './paths.ts'
import type { Action } from './people/roles.ts'
import { EnrolDevice, Me, Presence, SignIn, SwitchPerson } from './people/session.ts'
import { Site } from './site/site.ts'

export interface Route {
  method: 'GET' | 'POST' | 'DELETE'
  url: string
  summary: string
  /** What the person signed in must be allowed to do; 'anyone' needs no sign-in. */
  access: Action | 'anyone' | 'signedIn'
  params?: z.ZodType
  querystring?: z.ZodType
  body?: z.ZodType
  /** The answer's shape. */
  answer?: z.ZodType
}

const Health = z.strictObject({
  app: z.literal('up'),
  database: z.enum(['up', 'down']),
  version: z.string(),
  head: z.int().nullable(),
})

const after = z.strictObject({ after: z.coerce.number().int().min(0).default(0) })

/** Every route, who may use it, and what goes in and out. */
export const ROUTES = {
  health: {
    method: 'GET',
    url: PATHS.health,
    summary: 'State of app and database',
    access: 'anyone',
    answer: Health,
  },
  signIn: {
    method: 'POST',
    url: PATHS.session,
    summary: 'Sign in with a passphrase',
    access: 'anyone',
    body: SignIn,
    answer: Me,
  },
  presence: {
    method: 'GET',
    url: PATHS.session,
    summary: 'Who is signed in here, and who can switch to on an enrolled tablet',
    access: 'anyone',
    answer: Presence,
  },
  signOut: { method: 'DELETE', url: PATHS.session, summary: 'Sign out', access: 'signedIn' },
  switchPerson: {
    method: 'POST',
    url: PATHS.switchPerson,
    summary: 'Switch person on an enrolled tablet by PIN',
    access: 'anyone',
    body: SwitchPerson,
    answer: Me,
  },
  enrolDevice: {
    method: 'POST',
    url: PATHS.device,
    summary: 'Let people switch by PIN on this tablet',
    access: 'enrolDevice',
    body: EnrolDevice,
    answer: Me,
  },
  site: {
    method: 'GET',
    url: PATHS.site,
    summary: 'Building, residents, people and plans in force',
    access: 'readSite',
    answer: Site,
  },
  states: {
    method: 'GET',
    url: PATHS.states,
    summary: 'What the entries add up to for every resident, or for those asked for',
    access: 'readEntries',
    querystring: z.strictObject({ of: z.string().max(8000).optional() }),
    answer: z.strictObject({
      head: z.int(),
      states: z.record(z.string(), z.strictObject({ seq: z.int(), state: z.looseObject({}) })),
    }),
  },
  append: {
    method: 'POST',
    url: PATHS.entries,
    summary: 'Append entries; posting one again changes nothing',
    access: 'writeEntries',
    body: EntryBatch,
    answer: BatchAnswer,
  },
  since: {
    method: 'GET',
    url: PATHS.entries,
    summary: 'Entries after a place in the feed, in order, at most 1000',
    access: 'readEntries',
    querystring: after,
    answer: KeptEntries,
  },
  record: {
    method: 'GET',
    url: PATHS.record,
    summary: 'Every entry of a resident',
    access: 'readEntries',
    params: z.strictObject({ residentId: z.uuid() }),
    answer: KeptEntries,
  },
  feed: {
    method: 'GET',
    url: PATHS.feed,
    summary: 'Entries as they are kept, as server-sent events',
    access: 'readEntries',
    querystring: after,
  },
} as const satisfies Record<string, Route>

export type RouteName = keyof typeof ROUTES
