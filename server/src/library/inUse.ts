import type { SheetFault } from '@kobrin/contract'
import type { Sheet } from '@kobrin/core'
import { own } from '@kobrin/core'
import { eq } from 'drizzle-orm'
import type { Transaction } from '../database/connect.ts'
import { resident, site } from '../site/tables.ts'

type What = SheetFault['what']

const NAMED = 3

/** A choice, by the site where nobody is named, of an option the sheet would no longer have. */
function chosenFaults(sheet: Sheet, schools: Readonly<Record<string, string>>, by: string | null): What[] {
  return Object.entries(schools).flatMap(([school, option]): What[] => {
    const known = sheet.schools.find(({ id }) => id === school)
    // A school the sheet no longer asks about is simply not asked.
    if (!known || known.options.some(({ id }) => id === option)) return []
    return [{ code: 'optionInUse', school, option, by }]
  })
}

/** What residents and the site stand on that a sheet would take away: their plans could not be worked out. */
export async function inUseFaults(tx: Transaction, sheet: Sheet): Promise<SheetFault[]> {
  const living = await tx.select().from(resident).where(eq(resident.sheetId, sheet.id))
  const [settings] = await tx.select({ schools: site.schools }).from(site)
  const stages = new Set(sheet.stages.map(({ id }) => id))
  const without = new Map<string, string[]>()
  for (const { name, stage } of living)
    if (!stages.has(stage)) without.set(stage, [...(without.get(stage) ?? []), name])
  const wrong: What[] = [
    ...[...without].map(([stage, names]): What => {
      const more = Math.max(0, names.length - NAMED)
      return { code: 'stageInUse', stage, names: names.slice(0, NAMED), more }
    }),
    ...chosenFaults(sheet, own(settings?.schools ?? {}, sheet.id) ?? {}, null),
    ...living.flatMap(({ name, schools }) => chosenFaults(sheet, schools, name)),
  ]
  return wrong.map((what) => ({ line: null, field: 'stages and schools', what }))
}
