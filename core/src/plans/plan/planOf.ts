import type { Register } from '../../facts/residents/register.ts'
import type { Sheet } from '../sheet/sheet.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Override } from './override.ts'
import type { Plan } from './plan.ts'
import type { PlanRefusal } from './resolvePlan.ts'
import { resolvePlan } from './resolvePlan.ts'
import { own } from '../../facts/subjects/own.ts'

/** What plans are made of besides the residents themselves: the sheets in force, what the site chose, and
 * what was signed. */
export interface PlanRows {
  sheets: ReadonlyMap<string, Sheet>
  /** Chosen by the site, option by question, by sheet. */
  schools: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** Signed for everyone on a sheet or for one resident, by the id of either. */
  overrides: ReadonlyMap<string, readonly Override[]>
}

/** Signed changes by whom they are signed for, each list in the order of its rows. */
export function signedFor(
  rows: readonly { target: string; change: Override }[],
): Map<string, readonly Override[]> {
  const signed = new Map<string, Override[]>()
  for (const { target, change } of rows) signed.set(target, [...(signed.get(target) ?? []), change])
  return signed
}

export interface Planned {
  id: string
  register: Pick<Register, 'sheet' | 'stage' | 'schools'>
}

export type PlanOrRefusal = Plan | PlanRefusal | { code: 'unknown_sheet'; sheet: string }

/** Spreads duties that fall so many times a week over the week, differently for each resident: 0–6. */
export function phaseOf(residentId: string): number {
  // FNV-1a, 32 bits (Fowler, Noll, Vo): spreads neighbouring identities.
  let hash = 0x811c9dc5
  for (let at = 0; at < residentId.length; at += 1)
    hash = Math.imul(hash ^ residentId.charCodeAt(at), 0x01000193) >>> 0
  return hash % 7
}

/** The plan in force for a resident on a day, or why there is none. The only way to a plan: on the
 * server, on a tablet without network, and before a change is signed. */
export function planOf(
  { sheets, schools, overrides }: PlanRows,
  { id, register }: Planned,
  day: Day,
): PlanOrRefusal {
  const sheet = sheets.get(register.sheet)
  if (!sheet) return { code: 'unknown_sheet', sheet: register.sheet }
  return resolvePlan(sheet, {
    stage: register.stage,
    schools: { ...own(schools, sheet.id), ...register.schools },
    siteOverrides: overrides.get(sheet.id) ?? [],
    residentOverrides: overrides.get(id) ?? [],
    day,
    phase: phaseOf(id),
  })
}

/** `planOf` for a whole house: residents under the same plan share one object. Made again when a row or the
 * day changes. */
export function plansOn(rows: PlanRows, day: Day): (resident: Planned) => PlanOrRefusal {
  const shared = new Map<string, PlanOrRefusal>()
  return (resident) => {
    const { id, register } = resident
    const own = rows.overrides.has(id) ? id : ''
    const key = JSON.stringify([register.sheet, register.stage, register.schools, phaseOf(id), own])
    const known = shared.get(key) ?? planOf(rows, resident, day)
    shared.set(key, known)
    return known
  }
}
