import type { SheetGroup } from '../sheet/group.ts'

const SHEDDING: readonly SheetGroup[] = ['snake', 'lizard', 'tortoise', 'turtle', 'frog', 'salamander']

/** Whether animals of a group shed; all others that change their skin molt. */
export function shedsSkin(group: SheetGroup): boolean {
  return SHEDDING.includes(group)
}
