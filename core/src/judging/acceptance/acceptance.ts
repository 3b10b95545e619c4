import type { Box } from '../../facts/enclosures/box.ts'
import type { Build } from '../../facts/enclosures/build.ts'
import type { Severity } from '../../facts/health/severity.ts'
import type { Finding } from '../boxFit/finding.ts'
import { fit, toMend, wantedBy } from '../boxFit/fit.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { roomLimits, zonesNow } from '../../plans/sheet/climate.ts'
import type { Sheet } from '../../plans/sheet/sheet.ts'
import type { Range } from '../../basics/range.ts'
import type { Day } from '../../basics/time/day.ts'
import { byGravity } from '../verdicts/byGravity.ts'

/** What a site has, as far as a new species asks for it. */
export interface SiteMeans {
  rooms: readonly { id: string; celsius: Range | null }[]
  /** Enclosures that stand empty. */
  free: readonly { id: string; room: string; box: Box; build: Build }[]
  people: readonly { id: string; competences: readonly string[] }[]
  /** How many would come; a start of them where nobody says. */
  count?: number | undefined
}

/** One thing that has to be so before a species is taken in, and how it stands. */
export type Condition =
  | {
      about: 'room'
      severity: Severity
      fitting: string[]
      unread: string[]
      /** The room stays below this all year, °C. */
      ceiling: number | null
      /** And above this: for those whom nobody may warm. */
      neverBelow: number | null
    }
  | { about: 'place'; severity: Severity; ready: string[]; nearly: { id: string; findings: Finding[] }[] }
  | { about: 'competence'; severity: Severity; competence: string; people: string[] }
  | { about: 'people'; severity: Severity; needs: number; has: number }
  | { about: 'licence'; severity: Severity; reminder: string }
  | { about: 'quarantine'; severity: Severity; days: number }

function roomCondition({ coolLoving, targets }: Plan, { rooms }: SiteMeans): Condition {
  const { ceiling, neverBelow: coldest } = roomLimits(zonesNow(targets))
  // A cold room does not stand in the way of one whose enclosure is heated.
  const neverBelow = coolLoving ? coldest : null
  const unread = rooms.filter(({ celsius }) => celsius === null).map(({ id }) => id)
  const fitting = rooms
    .filter(
      ({ celsius }) =>
        celsius !== null &&
        (ceiling === null || celsius[1] < ceiling) &&
        (neverBelow === null || celsius[0] >= neverBelow),
    )
    .map(({ id }) => id)
  const severity = fitting.length > 0 ? 'info' : unread.length > 0 ? 'watch' : 'act'
  return { about: 'room', severity, fitting, unread, ceiling, neverBelow }
}

const NEARLY_SHOWN = 3

function placeCondition(plan: Plan, means: SiteMeans, day: Day): Condition {
  const celsius = new Map(means.rooms.map((room) => [room.id, room.celsius ?? undefined]))
  const count = means.count ?? plan.housing?.numbers?.start ?? 1
  const judged = means.free.map(({ id, room, box, build }) => ({
    id,
    findings: toMend(
      fit({
        box,
        build,
        tenant: { sizes: {}, count },
        ...wantedBy(plan),
        roomCelsius: celsius.get(room),
        day,
      }),
    ),
  }))
  const ready = judged.filter(({ findings }) => findings.length === 0).map(({ id }) => id)
  const nearly = judged
    .filter(({ findings }) => findings.length > 0)
    .sort((a, b) => a.findings.length - b.findings.length)
    .slice(0, NEARLY_SHOWN)
  return { about: 'place', severity: ready.length > 0 ? 'info' : 'act', ready, nearly }
}

function competenceConditions(sheet: Sheet, { people }: SiteMeans): Condition[] {
  const { competence, people: needs = 1 } = sheet
  const cleared = people.filter(({ competences }) => !competence || competences.includes(competence))
  const conditions: Condition[] = []
  if (competence)
    conditions.push({
      about: 'competence',
      severity: cleared.length > 0 ? 'info' : 'act',
      competence,
      people: cleared.map(({ id }) => id),
    })
  if (needs > 1)
    conditions.push({
      about: 'people',
      severity: cleared.length >= needs ? 'info' : 'act',
      needs,
      has: cleared.length,
    })
  return conditions
}

/** Can this site keep this species? Heat, a place ready, people cleared, permission: each condition with
 * how it stands, the gravest first. The plan is that of the stage that would come. */
export function acceptance(sheet: Sheet, plan: Plan, means: SiteMeans, day: Day): Condition[] {
  const conditions: Condition[] = [
    roomCondition(plan, means),
    placeCondition(plan, means, day),
    ...competenceConditions(sheet, means),
  ]
  if (sheet.quarantineDays !== undefined)
    conditions.push({ about: 'quarantine', severity: 'info', days: sheet.quarantineDays })
  if (sheet.licence) conditions.push({ about: 'licence', severity: 'watch', reminder: sheet.licence })
  return conditions.sort(byGravity)
}
