import type { SheetGroup } from '../sheet/group.ts'
import { AMPHIBIANS, REPTILES } from '../sheet/group.ts'

const SHEDDING: readonly SheetGroup[] = [...REPTILES, ...AMPHIBIANS]

/** Whether animals of a group shed; all others that change their skin molt. */
export function shedsSkin(group: SheetGroup): boolean {
  return SHEDDING.includes(group)
}
