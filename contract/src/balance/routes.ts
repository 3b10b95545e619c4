import * as z from 'zod/mini'
import type { Route } from '../route.ts'

/** One line of a balance and when it was heard, ms; null while it cannot be reached. */
export type Heard = { ms: number; line: string } | null

export const BALANCE_ROUTES = {
  balances: {
    method: 'GET',
    url: '/api/balances',
    summary: 'The balances of the house that can be listened to, by name',
    access: 'writeEntries',
    answer: z.strictObject({ names: z.array(z.string()) }),
  },
  balance: {
    method: 'GET',
    url: '/api/balances/:name',
    summary: 'What a balance says, line by line (server-sent events); `away` while it cannot be reached',
    access: 'writeEntries',
    params: z.strictObject({ name: z.string().check(z.minLength(1), z.maxLength(80)) }),
  },
} as const satisfies Record<string, Route>
