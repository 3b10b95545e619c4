import type { ErrorCode } from '@kobrin/contract'
import { ERRORS } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod'
import { errnoOf } from '../database/connect.ts'

/** An answer other than the one hoped for, from the catalogue. */
export class KobrinProblem extends Error {
  readonly code: ErrorCode
  readonly status: number

  constructor(code: ErrorCode) {
    super(ERRORS[code].message)
    this.name = 'KobrinProblem'
    this.code = code
    this.status = ERRORS[code].status
  }
}

function answer(code: ErrorCode, more: { field?: string; message?: string } = {}) {
  return { status: ERRORS[code].status, body: { code, message: ERRORS[code].message, ...more } }
}

// 1040 too many connections, 2002/2003/2006/2013 gone, 1053 shutting down, 1927 killed.
const AWAY = new Set([1040, 1053, 1927, 2002, 2003, 2006, 2013])

const GONE = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOENT',
  'PROTOCOL_CONNECTION_LOST',
])

/** No room to write: 3 and 20 from the file system, 1021, 1026 and 1114 from the tables. */
const FULL = new Set([3, 20, 1021, 1026, 1114])

/** Whether there was no room to write it. */
export function isFull(error: unknown): boolean {
  return FULL.has(errnoOf(error) ?? 0)
}

/** Whether the database is not there, or does not answer. */
export function isAway(error: unknown): boolean {
  const errno = errnoOf(error)
  if (errno !== undefined && AWAY.has(errno)) return true
  for (let at = error; at instanceof Error; at = at.cause) {
    if ('code' in at && typeof at.code === 'string' && GONE.has(at.code)) {
      return true
    }
  }
  return false
}

const STATEMENT_TOO_LONG = 1969

/** What Fastify itself refuses, by its status. */
const BY_STATUS = new Map<number, ErrorCode>([
  // What a file server will not hand out is not there.
  [403, 'not_found'],
  [404, 'not_found'],
  [405, 'wrong_method'],
  [412, 'not_as_expected'],
  [413, 'too_large'],
  [415, 'unreadable_type'],
  [416, 'not_satisfiable'],
  [429, 'too_many'],
  [503, 'busy'],
])

function translate(error: unknown) {
  if (error instanceof KobrinProblem) return answer(error.code)
  if (hasZodFastifySchemaValidationErrors(error)) {
    const first = error.validation[0]
    const field = first?.instancePath.replace(/^\//, '').replaceAll('/', '.') ?? ''
    return answer('bad_input', {
      field,
      message: `${field || 'Input'}: ${first?.message ?? 'cannot be read'}`,
    })
  }
  if (isAway(error)) return answer('database_away')
  if (isFull(error)) return answer('disk_full')
  if (errnoOf(error) === STATEMENT_TOO_LONG) return answer('busy')
  const status = error instanceof Error && 'statusCode' in error ? error.statusCode : undefined
  const known = typeof status === 'number' ? BY_STATUS.get(status) : undefined
  if (known) return answer(known)
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return answer('bad_input', { message: (error as Error).message })
  }
  return answer('internal')
}

const RETRY_AFTER_SECONDS = 2

/** Every error leaves as `{code, message, field?}`; only the unexpected ones are logged in full. */
export function answerProblems(app: FastifyInstance): void {
  app.setErrorHandler((error, request, reply) => {
    const { status, body } = translate(error)
    if (status >= 500) request.log.error({ err: error }, body.code)
    if (status === 503) reply.header('retry-after', RETRY_AFTER_SECONDS)
    return reply.status(status).send(body)
  })
}
