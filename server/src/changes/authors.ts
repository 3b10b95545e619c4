import { civil } from '@kobrin/core'
import type { FastifyRequest } from 'fastify'
import { signedInOn } from '../people/guard.ts'
import type { Author } from './author.ts'
import type { Changing } from './changing.ts'

export interface Authors {
  /** Who asks, and when. Only behind a guard that asks for a sign-in. */
  authorOn: (request: FastifyRequest) => Promise<Author>
  /** What a change by the caller needs. */
  changingOn: (request: FastifyRequest) => Promise<Changing>
  /** The same for somebody who is about to come in. */
  changingBy: (personId: string) => Promise<Changing>
}

export function createAuthors({
  siteZone,
  now,
  ...place
}: Omit<Changing, 'author'> & { siteZone: () => Promise<string>; now: () => Date }): Authors {
  const authored = async (by: string) => {
    const at = now()
    return { by, at: at.toISOString(), day: civil(at.getTime(), await siteZone()).day }
  }
  const changingBy = async (by: string) => ({ ...place, author: await authored(by) })
  return {
    authorOn: (request) => authored(signedInOn(request).person.id),
    changingOn: (request) => changingBy(signedInOn(request).person.id),
    changingBy,
  }
}
