import { OFFICE_ROUTES, PHOTO_BYTES } from '@kobrin/contract'
import { eq } from 'drizzle-orm'
import type { FastifyPluginAsync } from 'fastify'
import pLimit from 'p-limit'
import { KobrinProblem } from '../errors/problem.ts'
import { schemaOf } from '../interface/serve.ts'
import { signedInOn } from '../people/guard.ts'
import type { Services } from '../services.ts'
import { keepPhoto, readPhoto } from './store.ts'
import type { PhotoSize } from './store.ts'
import { photo } from './tables.ts'

const YEAR_SECONDS = 31_536_000
/** What a picture may be said to be; what it is, is seen when it is read. */
const TYPES = [
  'image/jpeg',
  'image/png',
  'image/webp',
  'image/gif',
  'image/bmp',
  'image/tiff',
  'image/avif',
  'image/heic',
  'image/heif',
  'application/octet-stream',
]
/** A picture being encoded again takes a core and the memory of all its pixels. */
const AT_ONCE = 2

/** Pictures: what arrives is encoded again, and lies beside the database. */
export function photoRoutes({
  connection: { db },
  guard,
  now,
  photos: folder,
}: Services): FastifyPluginAsync {
  const limit = pLimit(AT_ONCE)
  const { putPhoto, photo: getPhoto } = OFFICE_ROUTES

  async function hashOfPhoto(id: string): Promise<string | null> {
    const [row] = await db.select({ hash: photo.hash }).from(photo).where(eq(photo.id, id))
    return row?.hash ?? null
  }

  return async (app) => {
    app.addContentTypeParser(
      TYPES,
      { parseAs: 'buffer', bodyLimit: PHOTO_BYTES },
      async (_request: unknown, body: Buffer) => body,
    )

    app.put<{ Params: { id: string } }>(
      putPhoto.url,
      { ...guard(putPhoto), schema: schemaOf(putPhoto), bodyLimit: PHOTO_BYTES },
      async (request, reply) => {
        const { id } = request.params
        const { body } = request
        if (folder === null) throw new KobrinProblem('not_found')
        if (!Buffer.isBuffer(body)) throw new KobrinProblem('no_photo')
        if ((await hashOfPhoto(id)) === null) {
          const made = await limit(() => keepPhoto(folder, body))
          const by = signedInOn(request).person.id
          await db
            .insert(photo)
            .ignore()
            .values({ id, ...made, by, at: now().toISOString() })
        }
        return reply.status(204).send()
      },
    )

    app.get<{ Params: { id: string }; Querystring: { size: PhotoSize } }>(
      getPhoto.url,
      { ...guard(getPhoto), schema: schemaOf(getPhoto) },
      async (request, reply) => {
        const hash = await hashOfPhoto(request.params.id)
        if (hash === null || folder === null) throw new KobrinProblem('not_found')
        const bytes = await readPhoto(folder, hash, request.query.size)
        return reply
          .type('image/webp')
          .header('cache-control', `private, max-age=${YEAR_SECONDS}, immutable`)
          .send(bytes)
      },
    )
  }
}
