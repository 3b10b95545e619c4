import { Build } from '@kobrin/core'
import { z } from 'zod'

/** An inside measure, mm. */
export const Mm = z.int().min(10).max(20_000)

/** How an enclosure is built and fitted out. */
export const KeepEnclosure = z.strictObject({
  widthMm: Mm,
  depthMm: Mm,
  heightMm: Mm,
  build: Build,
})
export type KeepEnclosure = z.infer<typeof KeepEnclosure>
