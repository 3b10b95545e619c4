import type { PlanChange } from '@kobrin/contract'
import type { Override, Plan, ResidentState, Sheet } from '@kobrin/core'
import { emptyState, isPlan, plannedDays, resolvePlan } from '@kobrin/core'
import { asc, eq, gte, inArray, max } from 'drizzle-orm'
import type { z } from 'zod'
import type { AskPreview, PreviewAnswer } from '@kobrin/contract'
import type { Database } from '../database/connect.ts'
import { residentState } from '../entries/tables.ts'
import { KobrinProblem } from '../errors/problem.ts'
import * as tables from '../site/tables.ts'
import { planChange } from './tables.ts'

/** Place of the last change of plans or register; 0 before the first. */
export async function lastChange(db: Database): Promise<number> {
  const [row] = await db.select({ last: max(planChange.seq) }).from(planChange)
  return row?.last ?? 0
}

export async function changesSince(db: Database, day: number): Promise<PlanChange[]> {
  return db.select().from(planChange).where(gte(planChange.day, day)).orderBy(asc(planChange.seq))
}

/** Everything the plan of one resident is made of. */
export async function planSources(db: Database, residentId: string) {
  const [row] = await db.select().from(tables.resident).where(eq(tables.resident.id, residentId))
  if (!row) throw new KobrinProblem('unknown_resident')
  const [[settings], [doc], overrides] = await Promise.all([
    db.select().from(tables.site),
    db.select().from(tables.sheet).where(eq(tables.sheet.id, row.sheetId)),
    db
      .select()
      .from(tables.planOverride)
      .where(inArray(tables.planOverride.target, [row.sheetId, residentId]))
      .orderBy(asc(tables.planOverride.number)),
  ])
  if (!doc) throw new KobrinProblem('unknown_sheet')
  return {
    sheet: doc.doc,
    stage: row.stage,
    siteSchools: settings?.schools[row.sheetId] ?? {},
    ownSchools: row.schools,
    overrides,
  }
}

export type PlanSourcesOf = Awaited<ReturnType<typeof planSources>>

interface Choice {
  sheet: Sheet
  stage: string
  schools: Record<string, string>
  siteOverrides: Override[]
  residentOverrides: Override[]
}

function choiceOf(sources: PlanSourcesOf): Choice {
  const { sheet, stage, siteSchools, ownSchools, overrides } = sources
  const of = (isSite: boolean) =>
    overrides.filter(({ target }) => (target === sheet.id) === isSite).map(({ change }) => change)
  return {
    sheet,
    stage,
    schools: { ...siteSchools, ...ownSchools },
    siteOverrides: of(true),
    residentOverrides: of(false),
  }
}

function planOf({ sheet, ...choices }: Choice, day: number): Plan {
  const plan = resolvePlan(sheet, { ...choices, day })
  if (!isPlan(plan))
    throw new KobrinProblem(plan.code === 'unknown_stage' ? 'unknown_stage' : 'unknown_school')
  return plan
}

async function stateOf(db: Database, residentId: string): Promise<ResidentState> {
  const [row] = await db.select().from(residentState).where(eq(residentState.residentId, residentId))
  return row?.state ?? emptyState()
}

/** The days ahead as they stand, and with a stage, schools or a change that nobody has signed yet. */
export async function preview(
  db: Database,
  ask: z.output<typeof AskPreview>,
  day: number,
): Promise<PreviewAnswer> {
  const sources = choiceOf(await planSources(db, ask.resident))
  const state = await stateOf(db, ask.resident)
  const change: Override[] = ask.change
    ? [{ ...ask.change, by: '', on: day, at: '~', reason: 'Not signed yet' }]
    : []
  const after = planOf(
    {
      ...sources,
      stage: ask.stage ?? sources.stage,
      schools: { ...sources.schools, ...ask.schools },
      residentOverrides: [...sources.residentOverrides, ...change],
    },
    day,
  )
  const days = (plan: Plan) => plannedDays(state, plan, day, ask.days)
  return { before: days(planOf(sources, day)), after: days(after), plan: after }
}
