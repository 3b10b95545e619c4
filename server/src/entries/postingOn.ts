import { eq } from 'drizzle-orm'
import type { FastifyRequest } from 'fastify'
import { signedInOn } from '../people/guard.ts'
import { roleOf } from '../people/queries.ts'
import type { Services } from '../services.ts'
import type { PostingContext } from './posted.ts'
import { entry } from './tables.ts'

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
    async authorOf(uid) {
      const [row] = await db.select({ author: entry.authorId }).from(entry).where(eq(entry.uid, uid))
      return row?.author ?? null
    },
    roleOf: (id) => roleOf(db, id),
  }
}
