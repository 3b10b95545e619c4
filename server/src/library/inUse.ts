import type { Sheet } from '@kobrin/core'
import { eq } from 'drizzle-orm'
import type { Transaction } from '../database/connect.ts'
import { resident, site } from '../site/tables.ts'
import type { TextFault } from './sheetText.ts'

function chosenFaults(sheet: Sheet, schools: Readonly<Record<string, string>>, by: string): string[] {
  return Object.entries(schools).flatMap(([school, option]) => {
    const known = sheet.schools.find(({ id }) => id === school)
    // A school the sheet no longer asks about is simply not asked.
    if (!known || known.options.some(({ id }) => id === option)) return []
    return [`${by} is on the side "${option}" of "${school}", which this sheet does not have.`]
  })
}

/** What residents and the site stand on that a sheet would take away: their plans could not be worked out. */
export async function inUseFaults(tx: Transaction, sheet: Sheet): Promise<TextFault[]> {
  const living = await tx.select().from(resident).where(eq(resident.sheetId, sheet.id))
  const [settings] = await tx.select({ schools: site.schools }).from(site)
  const stages = new Set(sheet.stages.map(({ id }) => id))
  const without = new Map<string, string[]>()
  for (const { name, stage } of living)
    if (!stages.has(stage)) without.set(stage, [...(without.get(stage) ?? []), name])
  const says = [
    ...[...without].map(
      ([stage, names]) =>
        `The stage "${stage}" is missing, and ${names.slice(0, 3).join(', ')}${names.length > 3 ? ` and ${names.length - 3} more` : ''} live in it.`,
    ),
    ...chosenFaults(sheet, settings?.schools[sheet.id] ?? {}, 'This site'),
    ...living.flatMap(({ name, schools }) => chosenFaults(sheet, schools, name)),
  ]
  return says.map((sentence) => ({ line: null, field: 'stages and schools', says: sentence }))
}
