import { BodyPart } from '../../facts/growth/growthState.ts'
import type { Sheet } from '../sheet/sheet.ts'
import type { Stage } from '../sheet/stage.ts'
import { GROUP_SIZES } from './groups.ts'
import type { Bounds } from './plausible.ts'

/** What a first weight or length at a stage is held against: what the sheet says, else what can be true of any
 * animal of its group. A weight in the record of a colony may be that of all of them: only what its sheet says
 * counts there. */
export function boundsAt(
  { group, lives }: Pick<Sheet, 'group' | 'lives'>,
  { plausible }: Pick<Stage, 'plausible'>,
): Bounds {
  const sizes = GROUP_SIZES[group]
  const mm: Bounds['mm'] = {}
  for (const part of BodyPart.options) {
    const own = plausible?.mm?.[part]
    const range = own ?? sizes.mm[part]
    if (range) mm[part] = { range, of: own ? 'sheet' : 'group' }
  }
  const own = plausible?.grams
  const range = own ?? (lives === 'individual' ? sizes.grams : undefined)
  return { mm, ...(range && { grams: { range, of: own ? 'sheet' : 'group' } }) }
}
