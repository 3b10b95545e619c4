import * as z from 'zod/mini'
import { HeldFloor } from '../sheet/lifeHistory.ts'
import type { Sheet } from '../sheet/sheet.ts'

/** Where a sheet says nothing: kept six weeks at least, looked into every week. */
export const USUALLY_KEPT: HeldFloor = { days: 42, checkEvery: 7, hides: 'young and eggs' }

/** A kept floor lies cooler than the enclosure it came from, and eggs take longer in it. */
const COOLER = 1.25

/** How long old floor is kept, and the longest its eggs take in the warmth they are used to. */
export const FloorRule = z.extend(HeldFloor, { eggDays: z.optional(z.number().check(z.positive())) })
export type FloorRule = z.infer<typeof FloorRule>

/** How long the floor of a species is kept: what its sheet says, but never less than the longest its eggs take
 * and a quarter more. */
export function floorRuleOf({
  heldFloor = USUALLY_KEPT,
  breeding,
}: Pick<Sheet, 'heldFloor' | 'breeding'>): FloorRule {
  const hatchDays = [
    breeding?.stageDays?.['egg']?.[1],
    ...(breeding?.incubation ?? []).map(({ days }) => days[1]),
  ].filter((days) => days !== undefined)
  if (hatchDays.length === 0) return heldFloor
  const eggDays = Math.max(...hatchDays)
  return { ...heldFloor, days: Math.max(heldFloor.days, Math.ceil(eggDays * COOLER)), eggDays }
}
