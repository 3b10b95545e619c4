import * as z from 'zod/mini'
import { Me } from '../people/session.ts'
import type { Route } from '../route.ts'
import { SetUp } from './setUp.ts'

const URL = '/api/set-up'

export const SETUP_ROUTES = {
  setUpState: {
    method: 'GET',
    url: URL,
    summary: 'Whether this house has still to be set up',
    access: 'anyone',
    answer: z.strictObject({ isEmpty: z.boolean() }),
  },
  setUp: {
    method: 'POST',
    url: URL,
    summary: 'Set up a house whose record is empty, with the code shown when it was started',
    access: 'anyone',
    body: SetUp,
    answer: Me,
  },
} as const satisfies Record<string, Route>
