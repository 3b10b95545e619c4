import type { Answer, Asked, Problem, Route } from '@kobrin/contract'
import { addressOf, REVISION_HEADER } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import { t } from '../app/words.ts'

/** An answer from the server that is not the one hoped for. */
export class ApiProblem extends Error {
  readonly code: string
  readonly status: number

  constructor(status: number, { code, message }: Problem) {
    super(message)
    this.name = 'ApiProblem'
    this.code = code
    this.status = status
  }
}

/** The server could not be reached at all. */
export class Unreachable extends Error {
  constructor(cause: unknown) {
    super(t('notReached'), { cause })
    this.name = 'Unreachable'
  }
}

/** A back room's network may swallow a request without a word. */
const PATIENCE_MS = 20_000
/** A file takes longer, and is made again before it is answered. */
const FILE_PATIENCE_MS = 120_000

type Fetch = typeof globalThis.fetch

async function problemOf(response: Response): Promise<ApiProblem> {
  const body = (await response.json().catch(() => null)) as Problem | null
  return new ApiProblem(
    response.status,
    body ?? { code: 'internal', message: t('serverAnswered', { status: String(response.status) }) },
  )
}

interface AnyAsked {
  params?: Record<string, string | number>
  querystring?: Record<string, string | number | undefined>
  body?: unknown
}

/** Calls a route of the table: what goes in and what comes out are said there. */
export type Call = <R extends Route>(
  route: R,
  ...asked: keyof Asked<R> extends never ? [] : [Asked<R>]
) => Promise<Answer<R>>

/** What the server answers, if it is what was hoped for. */
async function answered(fetch: Fetch, url: string, init: RequestInit): Promise<Response> {
  const response = await fetch(url, init).catch((cause: unknown) => {
    throw new Unreachable(cause)
  })
  if (!response.ok) throw await problemOf(response)
  return response
}

/** Sends a file as it is to a route that takes one. */
export async function sendFile(
  { url, method }: Pick<Route, 'url' | 'method'>,
  params: Record<string, string>,
  file: Blob,
): Promise<void> {
  await answered(globalThis.fetch, addressOf(url, params), {
    method,
    signal: AbortSignal.timeout(FILE_PATIENCE_MS),
    headers: { 'content-type': file.type || 'application/octet-stream' },
    body: file,
  })
}

export function createCall(fetch: Fetch = globalThis.fetch.bind(globalThis)): Call {
  return async (route, ...[asked]) => {
    const { params, querystring, body } = (asked ?? {}) as AnyAsked
    const response = await answered(fetch, addressOf(route.url, params, querystring), {
      method: route.method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: {
        [REVISION_HEADER]: String(FOLD_REVISION),
        ...(body !== undefined && { 'content-type': 'application/json' }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    })
    // The server checks what it answers against the same table.
    return (response.status === 204 ? undefined : await response.json()) as never
  }
}

export const call = createCall()
