import { Day } from '@kobrin/core'
import * as z from 'zod/mini'
import { KeptEntry } from '../entries/posting.ts'
import type { Route } from '../route.ts'
import { Change, ChooseSchool, EndOverride, SignOverride } from './plans.ts'

export const PLAN_ROUTES = {
  chooseSchool: {
    method: 'POST',
    url: '/api/schools',
    summary: 'Choose a school for a sheet',
    access: 'signPlans',
    body: ChooseSchool,
  },
  signOverride: {
    method: 'POST',
    url: '/api/overrides',
    summary: 'Sign a change to a plan',
    access: 'signPlans',
    body: SignOverride,
  },
  endOverride: {
    method: 'POST',
    url: '/api/overrides/end',
    summary: 'End a signed change today',
    access: 'signPlans',
    body: EndOverride,
  },
  changes: {
    method: 'GET',
    report: true,
    url: '/api/changes',
    summary: 'What changed plans, places and the register since a day',
    access: 'readSite',
    querystring: z.strictObject({ since: z.pipe(z.coerce.number<number>(), Day) }),
    answer: z.strictObject({
      changes: z.array(Change),
      entries: z
        .array(KeptEntry)
        .check(z.describe('Newcomers, stages reached, schools chosen for one resident.')),
    }),
  },
} as const satisfies Record<string, Route>
