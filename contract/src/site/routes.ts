import * as z from 'zod/mini'
import { KeepEnclosure } from './keepEnclosure.ts'
import type { Route } from '../route.ts'
import { PlanBook, Site } from './site.ts'

const Health = z.strictObject({
  app: z.literal('up'),
  database: z.enum(['up', 'down']),
  /** Where our own database keeps its data. */
  disk: z.enum(['roomy', 'full', 'unknown']),
  version: z.string(),
  head: z.nullable(z.string()),
})

export const SITE_ROUTES = {
  health: {
    method: 'GET',
    url: '/api/health',
    summary: 'State of app and database',
    access: 'anyone',
    answer: Health,
  },
  site: {
    method: 'GET',
    report: true,
    url: '/api/site',
    summary: 'The building, the people, and the numbers of the residents',
    access: 'readSite',
    answer: Site,
  },
  planBook: {
    method: 'GET',
    report: true,
    url: '/api/plan-book',
    summary: 'What plans are made of: sheets, chosen schools, signed changes',
    access: 'readSite',
    answer: PlanBook,
  },
  keepEnclosure: {
    method: 'PUT',
    url: '/api/enclosures/:enclosureId',
    summary: 'Write down how an enclosure is built and fitted out',
    access: 'editEnclosures',
    params: z.strictObject({ enclosureId: z.uuid() }),
    body: KeepEnclosure,
  },
} as const satisfies Record<string, Route>
