import type { Route } from '../route.ts'

export const TAKE_OUT_ROUTES = {
  takeOut: {
    method: 'GET',
    url: '/api/everything.zip',
    summary: 'Everything on record in open formats: tables and lines with their schema, packed',
    access: 'takeOut',
  },
} as const satisfies Record<string, Route>
