import type { ChooseSchool, EndOverride, PlanChange, SetStage, SignOverride } from '@kobrin/contract'
import type { DutyPatch, Override, Plan, Sheet } from '@kobrin/core'
import { isPlan, resolvePlan, zoneFaults } from '@kobrin/core'
import { and, eq, max } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { KobrinProblem } from '../errors/problem.ts'
import * as tables from '../site/tables.ts'
import type { Author } from './author.ts'
import { planChange } from './tables.ts'

type NewChange = Omit<PlanChange, 'seq' | 'sheet' | 'resident'> & { sheet?: string; resident?: string }

const WHAT_MAX = 600

export async function recordPlanChange(tx: Transaction, change: NewChange): Promise<void> {
  const { at, day, by, kind, sheet = null, resident = null, what, reason } = change
  await tx
    .insert(planChange)
    .values({ at, day, by, kind, sheet, resident, what: what.slice(0, WHAT_MAX), reason })
}

async function sheetOf(tx: Transaction, id: string): Promise<Sheet> {
  const [row] = await tx.select().from(tables.sheet).where(eq(tables.sheet.id, id))
  if (!row) throw new KobrinProblem('unknown_sheet')
  return row.doc
}

async function residentRow(tx: Transaction, id: string) {
  const [row] = await tx.select().from(tables.resident).where(eq(tables.resident.id, id)).for('update')
  if (!row) throw new KobrinProblem('unknown_resident')
  return row
}

function optionNamed(sheet: Sheet, schoolId: string, optionId: string) {
  const school = sheet.schools.find(({ id }) => id === schoolId)
  const option = school?.options.find(({ id }) => id === optionId)
  if (!school || !option) throw new KobrinProblem('unknown_school')
  return { school, option }
}

/** Chooses a school for everyone on a sheet, or for one resident. */
export async function chooseSchool(db: Database, choice: ChooseSchool, author: Author): Promise<void> {
  await db.transaction(async (tx) => {
    const { school, option } = optionNamed(await sheetOf(tx, choice.sheet), choice.school, choice.option)
    if (choice.resident) {
      const row = await residentRow(tx, choice.resident)
      const schools = { ...row.schools, [school.id]: option.id }
      await tx.update(tables.resident).set({ schools }).where(eq(tables.resident.id, row.id))
    } else {
      const [settings] = await tx.select().from(tables.site).for('update')
      const schools = { ...settings?.schools }
      schools[choice.sheet] = { ...schools[choice.sheet], [school.id]: option.id }
      await tx.update(tables.site).set({ schools })
    }
    await recordPlanChange(tx, {
      ...author,
      kind: 'school',
      sheet: choice.sheet,
      ...(choice.resident && { resident: choice.resident }),
      what: `${school.question} ${option.name}`,
      reason: choice.reason,
    })
  })
}

function sayPatch(patch: DutyPatch): string {
  if ('drop' in patch) return `${patch.id}: no longer`
  const { id, cadence, amount, ...rest } = patch
  const says = [
    cadence?.type === 'every' ? `every ${cadence.days} days` : cadence && 'another rhythm',
    amount?.by === 'portion' ? `about ${Math.round(amount.grams)} g` : amount && 'another amount',
    ...Object.keys(rest),
  ]
  return `${id}: ${says.filter(Boolean).join(', ')}`
}

/** A field of the plan as a keeper reads it: floorDepthMm is the floor depth. */
function sayField(field: string): string {
  return field.replace(/(Mm|Cm2)$/, '').replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
}

/** What a change is about, in a few words. */
export function sayChange({ patch, target, housing, light }: Override): string {
  const parts = [
    patch && sayPatch(patch),
    target && `climate, ${target.zone}`,
    housing && `enclosure: ${Object.keys(housing).map(sayField).join(', ')}`,
    light && `light: ${Object.keys(light).map(sayField).join(', ')}`,
  ]
  return parts.filter(Boolean).join('; ')
}

/** The plan somebody on the sheet would have, to see that a change can be worked out at all. */
function requirePlan(sheet: Sheet, stage: string, overrides: readonly Override[], day: number): Plan {
  const plan = resolvePlan(sheet, { stage, siteOverrides: overrides, day })
  if (!isPlan(plan)) throw new KobrinProblem('unreadable_plan')
  if (plan.targets.some(({ source: _, ...zone }) => zoneFaults(zone, []).length > 0))
    throw new KobrinProblem('ceiling_below_target')
  return plan
}

/** Signs a change to the plan of a sheet or of one resident. */
export async function signOverride(db: Database, signed: SignOverride, author: Author): Promise<void> {
  const { sheet, resident, ...change } = signed
  await db.transaction(async (tx) => {
    const row = resident ? await residentRow(tx, resident) : null
    const sheetId = row?.sheetId ?? sheet
    if (sheetId === undefined) throw new KobrinProblem('unknown_sheet')
    const doc = await sheetOf(tx, sheetId)
    const target = row?.id ?? sheetId
    const override: Override = { ...change, by: author.by, on: author.day, at: author.at }
    requirePlan(doc, row?.stage ?? doc.stages[0]?.id ?? '', [override], author.day)
    const [last] = await tx
      .select({ number: max(tables.planOverride.number) })
      .from(tables.planOverride)
      .where(eq(tables.planOverride.target, target))
    await tx
      .insert(tables.planOverride)
      .values({ target, number: (last?.number ?? -1) + 1, change: override })
    await recordPlanChange(tx, {
      ...author,
      kind: 'override',
      sheet: sheetId,
      ...(row && { resident: row.id }),
      what: sayChange(override),
      reason: change.reason,
    })
  })
}

/** Ends a signed change: yesterday was its last day. */
export async function endOverride(
  db: Database,
  { target, number, reason }: EndOverride,
  author: Author,
): Promise<void> {
  await db.transaction(async (tx) => {
    const where = and(eq(tables.planOverride.target, target), eq(tables.planOverride.number, number))
    const [row] = await tx.select().from(tables.planOverride).where(where).for('update')
    if (!row) throw new KobrinProblem('unknown_override')
    await tx
      .update(tables.planOverride)
      .set({ change: { ...row.change, until: author.day - 1 } })
      .where(where)
    const [whose] = await tx.select().from(tables.resident).where(eq(tables.resident.id, target))
    await recordPlanChange(tx, {
      ...author,
      kind: 'ended',
      ...(whose ? { resident: whose.id, sheet: whose.sheetId } : { sheet: target }),
      what: `No longer: ${sayChange(row.change)}`,
      reason,
    })
  })
}

/** Confirms that somebody has reached a stage. */
export async function setStage(
  db: Database,
  residentId: string,
  { stage, reason }: SetStage,
  author: Author,
): Promise<void> {
  await db.transaction(async (tx) => {
    const row = await residentRow(tx, residentId)
    const sheet = await sheetOf(tx, row.sheetId)
    const found = sheet.stages.find(({ id }) => id === stage)
    if (!found) throw new KobrinProblem('unknown_stage')
    await tx.update(tables.resident).set({ stage }).where(eq(tables.resident.id, residentId))
    await recordPlanChange(tx, {
      ...author,
      kind: 'stage',
      sheet: sheet.id,
      resident: residentId,
      what: `Stage: ${found.name}`,
      reason,
    })
  })
}
