import * as z from 'zod/mini'
import type { Route } from '../route.ts'

/** What a camera of today makes at most. */
export const PHOTO_BYTES = 40 * 1024 * 1024

const params = z.strictObject({ id: z.uuid().check(z.toLowerCase()) })

export const PHOTO_ROUTES = {
  putPhoto: {
    method: 'PUT',
    url: '/api/photos/:id',
    summary:
      'Keep a picture, made smaller and without what it says of place and device; again changes nothing',
    access: 'writeEntries',
    params,
    bodyBytes: PHOTO_BYTES,
  },
  photo: {
    method: 'GET',
    url: '/api/photos/:id',
    summary: 'A picture, as it is kept or small',
    access: 'readEntries',
    params,
    querystring: z.strictObject({ size: z._default(z.enum(['kept', 'small']), 'kept') }),
  },
} as const satisfies Record<string, Route>
