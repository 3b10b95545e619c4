import type { FastifyRequest } from 'fastify'
import { signedInOn } from '../people/guard.ts'
import { roleOf } from '../people/queries.ts'
import type { Services } from '../services.ts'
import type { PostingContext } from './posted.ts'
import { authorOfEntry } from './queries.ts'

/** What entries that somebody sends are judged with. Only behind a guard that asks for a sign-in. */
export async function postingOn(
  { connection: { db }, sessions, now, siteZone }: Services,
  request: FastifyRequest,
  proofs: PostingContext['proofs'] = {},
): Promise<PostingContext> {
  return {
    who: signedInOn(request),
    zone: await siteZone(),
    nowMs: now().getTime(),
    proofs,
    shift: (id) => sessions.shift(id),
    authorOf: (uid) => authorOfEntry(db, uid),
    roleOf: (id) => roleOf(db, id),
  }
}
