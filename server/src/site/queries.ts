import { createHash } from 'node:crypto'
import type { Site, Species } from '@kobrin/contract'
import type { Override, Plan, Sheet } from '@kobrin/core'
import { emptyBuild, isPlan, resolvePlan } from '@kobrin/core'
import { asc, eq } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { KobrinFault } from '../errors/fault.ts'
import { everyone } from '../people/queries.ts'
import * as tables from './tables.ts'

export interface SiteSettings {
  name: string
  zone: string
}

export async function siteSettings(db: Database): Promise<SiteSettings | null> {
  const [row] = await db.select({ name: tables.site.name, zone: tables.site.zone }).from(tables.site)
  return row ?? null
}

export async function enclosureExists(db: Database, id: string): Promise<boolean> {
  const found = await db
    .select({ id: tables.enclosure.id })
    .from(tables.enclosure)
    .where(eq(tables.enclosure.id, id))
  return found.length > 0
}

/** Spreads duties that fall so many times a week over the week, differently for each resident. */
function phaseOf(residentId: string): number {
  return createHash('sha1').update(residentId).digest().readUInt8(0) % 7
}

/** Plans by a key of their content: residents under the same plan share one. */
class PlanShelf {
  readonly plans: Record<string, Plan> = {}
  readonly #keys = new Map<string, string>()

  put(plan: Plan): string {
    const text = JSON.stringify(plan)
    let key = this.#keys.get(text)
    if (!key) {
      key = `${plan.sheet}/${plan.stage}/${this.#keys.size}`
      this.#keys.set(text, key)
      this.plans[key] = plan
    }
    return key
  }
}

function planFor(
  resident: typeof tables.resident.$inferSelect,
  sheet: Sheet | undefined,
  overrides: Map<string, Override[]>,
  siteSchools: Record<string, string>,
  day: number,
): Plan {
  if (!sheet)
    throw new KobrinFault(
      'bad_sheet',
      `${resident.name} is on the sheet ${resident.sheetId}, which is not in the library.`,
    )
  const plan = resolvePlan(sheet, {
    stage: resident.stage,
    schools: { ...siteSchools, ...resident.schools },
    siteOverrides: overrides.get(sheet.id) ?? [],
    residentOverrides: overrides.get(resident.id) ?? [],
    day,
    phase: phaseOf(resident.id),
  })
  if (!isPlan(plan))
    throw new KobrinFault(
      'bad_sheet',
      `The sheet ${sheet.id} cannot answer for ${resident.name}: ${JSON.stringify(plan)}`,
    )
  return plan
}

function byTarget(rows: { target: string; change: Override }[]): Map<string, Override[]> {
  const overrides = new Map<string, Override[]>()
  for (const { target, change } of rows) overrides.set(target, [...(overrides.get(target) ?? []), change])
  return overrides
}

function namesOf(list: readonly { id: string; name: string }[]): Record<string, string> {
  return Object.fromEntries(list.map(({ id, name }) => [id, name]))
}

function speciesOf({ id, common, latin, group, stages, schools }: Sheet): Species {
  return {
    id,
    common,
    latin,
    group,
    stages: namesOf(stages),
    schools: Object.fromEntries(
      schools.map(({ id: school, question, options }) => [school, { question, options: namesOf(options) }]),
    ),
  }
}

/** The whole reference data of the site, with the plan in force for every resident on a day.
 * Null when nothing has been set up yet. */
export async function readSite(db: Database, day: number, now: number): Promise<Site | null> {
  const [settings] = await db.select().from(tables.site)
  if (!settings) return null
  const rooms = await db.select().from(tables.room).orderBy(asc(tables.room.walkOrder))
  const bays = await db.select().from(tables.bay).orderBy(asc(tables.bay.walkOrder))
  const enclosures = await db.select().from(tables.enclosure)
  const residents = await db.select().from(tables.resident).orderBy(asc(tables.resident.accession))
  const sheets = new Map((await db.select().from(tables.sheet)).map(({ id, doc }) => [id, doc]))
  const overrides = byTarget(
    await db.select().from(tables.planOverride).orderBy(asc(tables.planOverride.number)),
  )
  const shelf = new PlanShelf()
  return {
    name: settings.name,
    zone: settings.zone,
    now,
    rooms: rooms.map(({ walkOrder, barrier, coolest, warmest, ...room }) => ({
      ...room,
      celsius: coolest === null || warmest === null ? null : [coolest, warmest],
      order: walkOrder,
      barrier: barrier as 0,
    })),
    bays: bays.map(({ walkOrder, barrier, ...bay }) => ({
      ...bay,
      order: walkOrder,
      barrier: barrier as 0 | null,
    })),
    enclosures: enclosures.map(({ shelf: row, slot, build, ...enclosure }) => ({
      ...enclosure,
      row,
      column: slot,
      build: { ...emptyBuild(), ...build },
    })),
    residents: residents.map((resident) => {
      const sheet = sheets.get(resident.sheetId)
      const plan = planFor(resident, sheet, overrides, settings.schools[resident.sheetId] ?? {}, day)
      return {
        id: resident.id,
        accession: resident.accession,
        name: resident.name,
        sheet: resident.sheetId,
        lives: sheet?.lives ?? 'individual',
        count: resident.headcount,
        sex: resident.sex,
        hatchedOn: resident.hatchedOn,
        barrier: resident.barrier as 0 | null,
        stage: resident.stage,
        plan: shelf.put(plan),
      }
    }),
    species: [...sheets.values()].map(speciesOf),
    plans: shelf.plans,
    people: await everyone(db),
  }
}
