import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { HealthSign, SheetGroup } from '@kobrin/core'
import { parse } from 'yaml'
import { z } from 'zod'
import { KobrinFault } from '../errors/fault.ts'

const FILE = join('shared', 'signs.yaml')

/** A sign that several sheets share, and the groups it is true for. */
const SharedSign = z.strictObject({
  ...HealthSign.shape,
  id: z.string().min(1),
  groups: z.array(SheetGroup).min(1),
})
type SharedSign = z.infer<typeof SharedSign>

export type SharedSigns = ReadonlyMap<string, SharedSign>

/** The shared signs of a folder of sheets, by id. */
export function readSharedSigns(folder: string): SharedSigns {
  const file = join(folder, FILE)
  if (!existsSync(file)) return new Map()
  const read = z.array(SharedSign).safeParse(parse(readFileSync(file, 'utf8')))
  if (!read.success) throw new KobrinFault('bad_sheet', `${FILE}: ${z.prettifyError(read.error)}`)
  return new Map(read.data.map((sign) => [sign.id, sign]))
}

const Using = z.looseObject({ group: SheetGroup, signs: z.array(z.unknown()) })
const Use = z.strictObject({ use: z.string(), stages: HealthSign.shape.stages })

/** A sheet as it was written, with the shared signs it takes up in their full words. Refuses one that is not known,
 * or that is not true for the sheet's group. */
export function withSharedSigns(value: unknown, shared: SharedSigns, file: string): unknown {
  const using = Using.safeParse(value)
  if (!using.success) return value
  const { group, signs } = using.data
  const inFull = signs.map((sign) => {
    const taken = Use.safeParse(sign)
    if (!taken.success) return sign
    const { use, stages } = taken.data
    const found = shared.get(use)
    if (!found) throw new KobrinFault('bad_sheet', `${file}: no shared sign ${use}`)
    const { id, groups, ...words } = found
    if (!groups.includes(group))
      throw new KobrinFault('bad_sheet', `${file}: the shared sign ${id} is not about ${group}`)
    return { ...words, ...(stages && { stages }) }
  })
  return { ...using.data, signs: inFull }
}
