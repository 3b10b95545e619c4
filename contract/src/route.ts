import type * as z from 'zod/mini'
import type { Action } from './people/roles.ts'

/** One route: where it is, who may use it, and what goes in and out. */
export interface Route {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  url: string
  summary: string
  /** What the person signed in must be allowed to do; 'anyone' needs no sign-in. */
  access: Action | 'anyone' | 'signedIn'
  params?: z.ZodMiniType
  querystring?: z.ZodMiniType
  body?: z.ZodMiniType
  /** What a body may weigh at most, where it is more than a form. */
  bodyBytes?: number
  /** Reads much at once, and can wait where a tap cannot. */
  report?: true
  /** The answer's shape; without one there is nothing to answer. */
  answer?: z.ZodMiniType
}

type Part = 'params' | 'querystring' | 'body'

/** What a route's handler is handed of a part of the request. */
export type Given<R extends Route, P extends Part> = R[P] extends z.ZodMiniType ? z.output<R[P]> : undefined

/** What a caller of a route hands over: the parts it asks for and no others. */
export type Asked<R extends Route> = {
  [P in Part as R[P] extends z.ZodMiniType ? P : never]: R[P] extends z.ZodMiniType ? z.input<R[P]> : never
}

export type Answer<R extends Route> = R['answer'] extends z.ZodMiniType ? z.output<R['answer']> : undefined

/** A route's address with its parameters and its query filled in. */
export function addressOf(
  url: string,
  params: Readonly<Record<string, string | number>> = {},
  query: Readonly<Record<string, string | number | undefined>> = {},
): string {
  const path = url.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(params[name])))
  const asked = Object.entries(query).filter(([, value]) => value !== undefined)
  const search = new URLSearchParams(asked.map(([name, value]) => [name, String(value)])).toString()
  return search === '' ? path : `${path}?${search}`
}
