import type { Duty, DutyPatch, SheetDuty } from './duty.ts'
import type { Plan, ZoneTarget } from './plan.ts'
import type { Override, Sheet } from './sheet.ts'
import type { Source } from './source.ts'

export interface PlanChoices {
  stage: string
  /** Chosen option by school id; the sheet's default where absent. */
  schools?: Readonly<Record<string, string>>
  siteOverrides?: readonly Override[]
  residentOverrides?: readonly Override[]
  /** The day the plan is for: overrides that have not begun or have run out are left aside. */
  day: number
  /** Spreads `perWeek` duties of different residents over the week, 0–6. */
  phase?: number
}

export type PlanRefusal =
  | { code: 'unknown_stage'; stage: string; known: string[] }
  | { code: 'unknown_option'; school: string; option: string; known: string[] }

function patched(duties: readonly Duty[], patch: DutyPatch, source: Source): Duty[] {
  if ('drop' in patch) return duties.filter((duty) => duty.id !== patch.id)
  const at = duties.findIndex((duty) => duty.id === patch.id)
  const before = duties[at]
  if (before) {
    // Absent fields of a patch leave what was there; they never arrive as undefined.
    const after = { ...before, ...patch, source } as Duty
    return duties.with(at, after)
  }
  const { does, cadence, people = 1, minutes = 1 } = patch
  // A change to a duty this stage does not have changes nothing.
  if (!does || !cadence) return [...duties]
  return [...duties, { ...patch, does, cadence, people, minutes, source }]
}

function inForce(override: Override, day: number): boolean {
  return override.on <= day && (override.until === undefined || override.until >= day)
}

function mergedTargets(base: readonly ZoneTarget[], changes: readonly ZoneTarget[]): ZoneTarget[] {
  const byZone = new Map(base.map((target) => [target.zone, target]))
  for (const change of changes) byZone.set(change.zone, { ...byZone.get(change.zone), ...change })
  return [...byZone.values()]
}

function fromSheet(duty: SheetDuty, sheet: Sheet, stage: string): Duty {
  return {
    ...duty,
    ...(sheet.people && { people: sheet.people }),
    ...(sheet.competence && !duty.competence && { competence: sheet.competence }),
    source: { from: 'sheet', sheet: sheet.id, stage },
  }
}

function phased(duty: Duty, phase: number): Duty {
  if (duty.cadence.type !== 'perWeek' || duty.cadence.phase !== 0) return duty
  return { ...duty, cadence: { ...duty.cadence, phase } }
}

/** Sheet × stage × schools × site overrides × resident overrides, each line knowing its source.
 * Later layers win; within a layer the order given is kept. */
export function resolvePlan(sheet: Sheet, choices: PlanChoices): Plan | PlanRefusal {
  const stage = sheet.stages.find(({ id }) => id === choices.stage)
  if (!stage) return { code: 'unknown_stage', stage: choices.stage, known: sheet.stages.map(({ id }) => id) }
  let duties = stage.duties.map((duty) => fromSheet(duty, sheet, stage.id))
  let targets = sheet.targets
  for (const school of sheet.schools) {
    const chosen = choices.schools?.[school.id] ?? school.default
    const option = school.options.find(({ id }) => id === chosen)
    if (!option) {
      const known = school.options.map(({ id }) => id)
      return { code: 'unknown_option', school: school.id, option: chosen, known }
    }
    const source: Source = { from: 'school', sheet: sheet.id, school: school.id, option: option.id }
    for (const patch of option.duties) duties = patched(duties, patch, source)
    targets = mergedTargets(targets, option.targets)
  }
  for (const { patch, by, on, reason } of (choices.siteOverrides ?? []).filter((o) =>
    inForce(o, choices.day),
  )) {
    duties = patched(duties, patch, { from: 'site', by, on, reason })
  }
  for (const override of (choices.residentOverrides ?? []).filter((o) => inForce(o, choices.day))) {
    const { patch, by, on, until, reason } = override
    duties = patched(duties, patch, {
      from: 'resident',
      by,
      on,
      reason,
      ...(until !== undefined && { until }),
    })
  }
  return {
    sheet: sheet.id,
    stage: stage.id,
    duties: duties.map((duty) => phased(duty, choices.phase ?? 0)),
    holds: sheet.holds.map((rule) => ({
      ...rule,
      source: { from: 'sheet', sheet: sheet.id, stage: stage.id },
    })),
    targets,
    cautions: sheet.cautions,
    weighing: sheet.weighing,
    refusalsToWorry: sheet.refusalsToWorry ?? 3,
    ...(sheet.unseenToWorry !== undefined && { unseenToWorry: sheet.unseenToWorry }),
  }
}

export function isPlan(result: Plan | PlanRefusal): result is Plan {
  return 'duties' in result
}
