import { z } from 'zod'
import { BatchAnswer, EntryBatch, KeptEntries } from './entries/posting.ts'
import { PATHS } from './paths.ts'
import type { Action } from './people/roles.ts'
import { EnrolDevice, Me, Presence, SignIn, SwitchPerson } from './people/session.ts'
import { KeepSheet, SheetAnswer, SheetSummary } from './library/library.ts'
import {
  AskPreview,
  ChooseSchool,
  EndOverride,
  PlanChange,
  PlanSources,
  SetStage,
  SignOverride,
} from './plans/plans.ts'
import { KeepEnclosure, NewResident } from './residents/residents.ts'
import { Site } from './site/site.ts'

export interface Route {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE'
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

const ofResident = z.strictObject({ residentId: z.uuid() })
const ofSheet = z.strictObject({ sheetId: z.string().max(60) })

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
    params: ofResident,
    answer: KeptEntries,
  },
  feed: {
    method: 'GET',
    url: PATHS.feed,
    summary: 'Entries as they are kept, as server-sent events',
    access: 'readEntries',
    querystring: after,
  },
  addResident: {
    method: 'POST',
    url: PATHS.residents,
    summary: 'Put somebody new on record, expected or here already',
    access: 'addResidents',
    body: NewResident,
    answer: z.strictObject({ accession: z.string() }),
  },
  setStage: {
    method: 'POST',
    url: PATHS.stage,
    summary: 'Confirm that a resident has reached a stage',
    access: 'setStage',
    params: ofResident,
    body: SetStage,
  },
  planSources: {
    method: 'GET',
    url: PATHS.planSources,
    summary: "What a resident's plan is made of",
    access: 'readSite',
    params: ofResident,
    answer: PlanSources,
  },
  library: {
    method: 'GET',
    url: PATHS.library,
    summary: 'Every care sheet in short',
    access: 'readSite',
    answer: z.strictObject({ sheets: z.array(SheetSummary) }),
  },
  sheet: {
    method: 'GET',
    url: PATHS.sheet,
    summary: 'A care sheet with its text, its history and how it differs from the shipped one',
    access: 'readSite',
    params: ofSheet,
  },
  sheetVersion: {
    method: 'GET',
    url: PATHS.sheetVersion,
    summary: 'The text of an earlier version of a care sheet',
    access: 'readSite',
    params: z.strictObject({ sheetId: z.string().max(60), version: z.coerce.number().int().positive() }),
    answer: z.strictObject({ yaml: z.string() }),
  },
  keepSheet: {
    method: 'PUT',
    url: PATHS.sheet,
    summary: 'Keep a new version of a care sheet, or a new sheet',
    access: 'editSheets',
    params: ofSheet,
    body: KeepSheet,
    answer: SheetAnswer,
  },
  schools: {
    method: 'GET',
    url: PATHS.schools,
    summary: 'Every matter keepers disagree on, sheet by sheet, and what is chosen here',
    access: 'readSite',
  },
  chooseSchool: {
    method: 'POST',
    url: PATHS.schools,
    summary: 'Choose a school for a sheet or for one resident',
    access: 'signPlans',
    body: ChooseSchool,
  },
  signOverride: {
    method: 'POST',
    url: PATHS.overrides,
    summary: 'Sign a change to a plan',
    access: 'signPlans',
    body: SignOverride,
  },
  endOverride: {
    method: 'POST',
    url: PATHS.endOverride,
    summary: 'End a signed change today',
    access: 'signPlans',
    body: EndOverride,
  },
  preview: {
    method: 'POST',
    url: PATHS.preview,
    summary: 'The next days of tasks with and without a change',
    access: 'readSite',
    body: AskPreview,
  },
  keepEnclosure: {
    method: 'PUT',
    url: PATHS.enclosure,
    summary: 'Write down how an enclosure is built and fitted out',
    access: 'editEnclosures',
    params: z.strictObject({ enclosureId: z.uuid() }),
    body: KeepEnclosure,
  },
  planChanges: {
    method: 'GET',
    url: PATHS.planChanges,
    summary: 'What changed plans since a day',
    access: 'readSite',
    querystring: z.strictObject({ since: z.coerce.number().int() }),
    answer: z.strictObject({ changes: z.array(PlanChange) }),
  },
} as const satisfies Record<string, Route>

export type RouteName = keyof typeof ROUTES
