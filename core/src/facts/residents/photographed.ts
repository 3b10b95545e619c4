import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { text, Uid } from '../subjects/values.ts'
import { residentKind } from './residentKind.ts'

/** A photo was taken of it. What it shows is for eyes: nothing follows from it. */
export const photographed = residentKind({
  payload: z.strictObject({
    photo: Uid.check(z.describe('The picture itself, kept beside the record.')),
    note: z.optional(text),
  }),
  recordedBy: WRITERS,
  fold: (state) => state,
})
