import { Build } from '@kobrin/core'
import * as z from 'zod/mini'

/** An inside measure, mm. */
export const Mm = z.int().check(z.minimum(10), z.maximum(20_000))

/** How an enclosure is built and fitted out. */
export const KeepEnclosure = z.strictObject({
  widthMm: Mm,
  depthMm: Mm,
  heightMm: Mm,
  build: Build,
})
export type KeepEnclosure = z.infer<typeof KeepEnclosure>
