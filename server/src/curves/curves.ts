import type { CurvesState } from '@kobrin/contract'
import type { PlanRows, ResidentState, WeightHistory } from '@kobrin/core'
import { civil, effectiveFacts, freshStarts, isPlan, planOf, weightReading } from '@kobrin/core'
import { eq, sql } from 'drizzle-orm'
import { sqlMoment } from '../database/columns.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { untilAlone } from '../database/contended.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { StoredFold } from '../entries/storedFold.ts'
import { believedIn } from '../entries/storedFold.ts'
import { historyOf } from '../entries/queries.ts'
import { catchUp } from '../followers/follower.ts'
import { hourIn, isNight } from '../night.ts'
import { curveFollower } from './curveFollower.ts'
import type { Fitting } from './fitApart.ts'
import { residentCurve } from './tables.ts'

/** So many in one transaction: about half a second, after which anyone who stops it is heard. */
const PAGE = 20
/** A curve that was fitted before the night is looked over in it: sheets and plans may have changed. */
const FRESH_MS = 12 * 3_600_000

export interface CurvesHere {
  db: Database
  /** What plans are made of; null before there is a house. */
  plans: () => Promise<PlanRows | null>
  fitting: Fitting
  now: () => Date
  siteZone: () => Promise<string>
}

/** The weights of somebody; null of a colony, of one that is here no more, and where no plan says how it is weighed. */
async function weightsOf(
  tx: Transaction,
  id: string,
  { plans, day }: { plans: PlanRows; day: number },
): Promise<WeightHistory | null> {
  const [row] = await rowsOf<StoredFold>(
    tx,
    sql`select family, revision, state from subject where id = ${id} and family = 'resident' and version > 0`,
  )
  const state = row && (believedIn(row) as ResidentState)
  if (!state?.register || state.stay.ended) return null
  const plan = planOf(plans, { id, register: state.register }, day)
  if (!isPlan(plan) || plan.lives === 'colony') return null
  const facts = effectiveFacts(await historyOf(tx, id))
  return {
    readings: facts.flatMap((fact) => (fact.kind === 'weighed' ? [weightReading(fact)] : [])),
    weighing: plan.weighing,
    bounds: plan.bounds?.grams?.range,
    starts: freshStarts(state),
  }
}

/** Fits one page of those that wait and are not in the hands of another server. Answers how many those were. */
async function fitPage(
  { db, plans, fitting, now, siteZone }: CurvesHere,
  signal: AbortSignal,
): Promise<number> {
  const rows = await plans()
  if (!rows) return 0
  const known = { plans: rows, day: civil(now().getTime(), await siteZone()).day }
  return untilAlone(() =>
    db.transaction(async (tx) => {
      const rows = await rowsOf<{ id: string }>(
        tx,
        sql`select resident_id as id from resident_curve where due is not null
            order by due desc limit ${PAGE} for update skip locked`,
      )
      if (rows.length === 0) return 0
      const histories: (WeightHistory | null)[] = []
      for (const { id } of rows) histories.push(await weightsOf(tx, id, known))
      const fitted = await fitting.fit(histories, signal)
      const fittedAt = now().toISOString()
      for (const [index, { id }] of rows.entries())
        await tx
          .update(residentCurve)
          .set({ due: null, fittedAt, off: fitted[index] ?? null })
          .where(eq(residentCurve.resident, id))
      return rows.length
    }),
  )
}

/** Marks residents weighed since the last look, and at night all of them, and fits until nobody waits. */
export async function fitWhoWaits(here: CurvesHere, signal: AbortSignal): Promise<void> {
  const { db, now, siteZone, fitting } = here
  await catchUp(db, curveFollower)
  if (isNight(hourIn(await siteZone(), now())))
    await db.execute(
      sql`update resident_curve set due = 'anew' where due is null and fitted_at < ${sqlMoment(now(), -FRESH_MS)}`,
    )
  try {
    while (!signal.aborted && (await fitPage(here, signal)) > 0);
  } finally {
    await fitting.close()
  }
}

/** Everybody is to be fitted again. */
export async function fitAnew(db: Database): Promise<void> {
  await untilAlone(() => db.execute(sql`update resident_curve set due = 'anew' where due is null`))
}

/** Nobody is to be fitted who was not weighed. What is fitted stands; the rest keeps what was said of it. */
export async function stopFitting(db: Database): Promise<void> {
  await untilAlone(() => db.execute(sql`update resident_curve set due = null where due = 'anew'`))
}

export async function curvesState(db: Database): Promise<CurvesState> {
  const rows = await db.select().from(residentCurve)
  return {
    off: Object.fromEntries(rows.flatMap(({ resident, off }) => (off ? [[resident, off]] : []))),
    waiting: rows.filter(({ due }) => due !== null).length,
    of: rows.length,
  }
}
