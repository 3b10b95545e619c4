import type {
  BatchAnswer,
  KeptEntry,
  Me,
  PostedEntry,
  Presence,
  Problem,
  SignIn,
  Site,
  SwitchPerson,
} from '@kobrin/contract'
import { PATHS, recordPath } from '@kobrin/contract'
import type { ResidentState } from '@kobrin/core'

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
    super('Kobrin cannot be reached from here just now.', { cause })
    this.name = 'Unreachable'
  }
}

export interface States {
  head: number
  states: Record<string, { seq: number; state: ResidentState }>
}

/** A back room's network may swallow a request without a word. */
const PATIENCE_MS = 20_000

type Fetch = typeof globalThis.fetch

async function problemOf(response: Response): Promise<ApiProblem> {
  const body = (await response.json().catch(() => null)) as Problem | null
  return new ApiProblem(
    response.status,
    body ?? { code: 'internal', message: `The server answered ${response.status}.` },
  )
}

export type Api = ReturnType<typeof createApi>

export type Call = <T>(method: string, path: string, body?: unknown) => Promise<T>

export function createCall(fetch: Fetch = globalThis.fetch.bind(globalThis)): Call {
  return async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
    let response: Response
    try {
      response = await fetch(path, {
        method,
        signal: AbortSignal.timeout(PATIENCE_MS),
        ...(body !== undefined && {
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        }),
      })
    } catch (cause) {
      throw new Unreachable(cause)
    }
    if (!response.ok) throw await problemOf(response)
    return (response.status === 204 ? undefined : await response.json()) as T
  }
}

/** The server's routes as functions. */
export function createApi(fetch?: Fetch) {
  const call = createCall(fetch)
  return {
    signIn: (body: SignIn) => call<Me>('POST', PATHS.session, body),
    signOut: () => call<undefined>('DELETE', PATHS.session),
    presence: () => call<Presence>('GET', PATHS.session),
    switchPerson: (body: SwitchPerson) => call<Me>('POST', PATHS.switchPerson, body),
    enrolDevice: (name: string) => call<Me>('POST', PATHS.device, { name }),
    site: () => call<Site>('GET', PATHS.site),
    states: (of?: readonly string[]) =>
      call<States>('GET', of ? `${PATHS.states}?of=${of.join(',')}` : PATHS.states),
    append: (entries: readonly PostedEntry[]) => call<BatchAnswer>('POST', PATHS.entries, { entries }),
    record: (residentId: string) => call<{ entries: KeptEntry[] }>('GET', recordPath(residentId)),
  }
}

export const api = createApi()
