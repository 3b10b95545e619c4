import { Build } from '@kobrin/core'
import { z } from 'zod'

const mm = z.int().min(10).max(20_000)

/** How an enclosure is built and fitted out. */
export const KeepEnclosure = z.strictObject({
  widthMm: mm,
  depthMm: mm,
  heightMm: mm,
  build: Build,
})
export type KeepEnclosure = z.infer<typeof KeepEnclosure>
