import type { ChooseSchool, EndOverride, SignOverride } from '@kobrin/contract'
import type { Override, PlanRows, Sheet } from '@kobrin/core'
import { isPlan, plansOn, signedFor, zoneFaults } from '@kobrin/core'
import { and, eq, max } from 'drizzle-orm'
import type { Changing } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import type { Transaction } from '../database/connect.ts'
import { KobrinProblem } from '../errors/problem.ts'
import * as tables from '../site/tables.ts'

async function sheetOf(tx: Transaction, id: string): Promise<Sheet> {
  const [row] = await tx.select().from(tables.sheet).where(eq(tables.sheet.id, id))
  if (!row) throw new KobrinProblem('unknown_sheet')
  return row.doc
}

/** Chooses a school for everyone on a sheet. */
export async function chooseSchool(by: Changing, choice: ChooseSchool): Promise<void> {
  const { sheet, school, option, reason } = choice
  await changing(by, async (tx) => {
    const known = (await sheetOf(tx, sheet)).schools.find(({ id }) => id === school)
    if (!known?.options.some(({ id }) => id === option)) throw new KobrinProblem('unknown_school')
    const [settings] = await tx.select().from(tables.site)
    const schools = { ...settings?.schools }
    schools[sheet] = { ...schools[sheet], [school]: option }
    await tx.update(tables.site).set({ schools })
    return { changes: [{ what: { kind: 'school', sheet, school, option }, reason }], answer: undefined }
  })
}

interface Whose {
  /** The sheet's id, or the resident's. */
  target: string
  sheet: Sheet
  /** Whose plans it is about; of a sheet also nobody yet, at each stage. */
  residents: { id: string; stage: string; schools: Record<string, string> }[]
}

async function whose(tx: Transaction, { sheet, resident }: SignOverride): Promise<Whose> {
  if (resident !== undefined) {
    const [row] = await tx.select().from(tables.resident).where(eq(tables.resident.id, resident))
    if (!row) throw new KobrinProblem('unknown_resident')
    return { target: row.id, sheet: await sheetOf(tx, row.sheetId), residents: [row] }
  }
  if (sheet === undefined) throw new KobrinProblem('unknown_sheet')
  const doc = await sheetOf(tx, sheet)
  const living = await tx.select().from(tables.resident).where(eq(tables.resident.sheetId, sheet))
  const nobodyYet = doc.stages.map(({ id: stage }) => ({ id: '', stage, schools: {} }))
  return { target: sheet, sheet: doc, residents: [...nobodyYet, ...living] }
}

/** What plans are made of once the change is signed, with everything that was signed before it. */
async function rowsWith(tx: Transaction, { target, sheet }: Whose, change: Override): Promise<PlanRows> {
  const [settings] = await tx.select({ schools: tables.site.schools }).from(tables.site)
  const overrides = signedFor([...(await tx.select().from(tables.planOverride)), { target, change }])
  return { sheets: new Map([[sheet.id, sheet]]), schools: settings?.schools ?? {}, overrides }
}

/** Refuses a change with which somebody's plan could not be worked out, or would harm. */
function requirePlans(rows: PlanRows, { sheet, residents }: Whose, day: number): void {
  const planFor = plansOn(rows, day)
  for (const { id, stage, schools } of residents) {
    const plan = planFor({ id, register: { sheet: sheet.id, stage, schools } })
    if (!isPlan(plan)) throw new KobrinProblem('unreadable_plan')
    if (plan.targets.some(({ source: _, ...zone }) => zoneFaults(zone, []).length > 0))
      throw new KobrinProblem('ceiling_below_target')
  }
}

/** Signs a change to the plan of a sheet or of one resident. */
export async function signOverride(by: Changing, signed: SignOverride): Promise<void> {
  const { sheet: _sheet, resident: _resident, ...said } = signed
  const { author } = by
  await changing(by, async (tx) => {
    const about = await whose(tx, signed)
    const { target } = about
    const change: Override = { ...said, by: author.by ?? '', on: author.day, at: author.at }
    requirePlans(await rowsWith(tx, about, change), about, author.day)
    const [last] = await tx
      .select({ number: max(tables.planOverride.number) })
      .from(tables.planOverride)
      .where(eq(tables.planOverride.target, target))
    await tx.insert(tables.planOverride).values({ target, number: (last?.number ?? -1) + 1, change })
    return {
      changes: [{ what: { kind: 'override', target, change }, reason: said.reason }],
      answer: undefined,
    }
  })
}

/** Ends a signed change: yesterday was its last day. */
export async function endOverride(by: Changing, { target, number, reason }: EndOverride): Promise<void> {
  await changing(by, async (tx) => {
    const where = and(eq(tables.planOverride.target, target), eq(tables.planOverride.number, number))
    const [row] = await tx.select().from(tables.planOverride).where(where)
    if (!row) throw new KobrinProblem('unknown_override')
    const change = { ...row.change, until: by.author.day - 1 }
    await tx.update(tables.planOverride).set({ change }).where(where)
    return { changes: [{ what: { kind: 'ended', target, change: row.change }, reason }], answer: undefined }
  })
}
