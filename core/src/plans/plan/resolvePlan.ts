import { floorRuleOf } from '../lots/floorRule.ts'
import type { ZoneTarget } from '../sheet/climate.ts'
import type { Housing, Light } from '../sheet/housing.ts'
import { signEvidenceOf } from '../sheet/lifeHistory.ts'
import { isForStage } from '../sheet/isForStage.ts'
import type { Sheet } from '../sheet/sheet.ts'
import type { Stage } from '../sheet/stage.ts'
import type { UnknownOption } from './chosenOptions.ts'
import { chosenOptions } from './chosenOptions.ts'
import { expectedGrowth } from '../growth/expectedGrowth.ts'
import { boundsAt } from '../plausible/boundsAt.ts'
import { readingDuties } from '../readings/readingDuties.ts'
import type { Rest } from '../winterRest/winterRest.ts'
import type { Duty, DutyPatch, SheetDuty } from './duty.ts'
import type { Override } from './override.ts'
import { inForceOn } from './override.ts'
import type { Plan, PlanTarget } from './plan.ts'
import { setupDuties } from './setupDuties.ts'
import type { Source } from './source.ts'
import { fromSheet } from './source.ts'

export interface PlanChoices {
  stage: string
  /** Chosen option by school id; the sheet's default where absent. */
  schools?: Readonly<Record<string, string>>
  /** In any order: they take effect in the order of their days. */
  siteOverrides?: readonly Override[]
  residentOverrides?: readonly Override[]
  /** The day the plan is for: overrides that have not begun or have run out are left aside. */
  day: number
  /** Spreads `perWeek` duties of different residents over the week, 0–6. */
  phase?: number
}

export type PlanRefusal = { code: 'unknown_stage'; stage: string; known: string[] } | UnknownOption

/** A plan in the making. */
interface UnfinishedPlan {
  duties: Duty[]
  targets: PlanTarget[]
  housing: Housing
  light: Light
  rest?: Rest | undefined
  sources: Record<string, Source>
}

interface Change {
  duties?: readonly DutyPatch[]
  targets?: readonly ZoneTarget[]
  housing?: Partial<Housing> | undefined
  light?: Partial<Light> | undefined
  rest?: Rest | undefined
}

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

function aimed(targets: readonly PlanTarget[], change: ZoneTarget, source: Source): PlanTarget[] {
  const at = targets.findIndex(({ zone }) => zone === change.zone)
  return at === -1
    ? [...targets, { ...change, source }]
    : targets.with(at, { ...targets[at], ...change, source })
}

function changed(draft: UnfinishedPlan, change: Change, source: Source): UnfinishedPlan {
  const named = (fields: object = {}) => Object.keys(fields).map((field) => [field, source] as const)
  return {
    duties: (change.duties ?? []).reduce((duties, patch) => patched(duties, patch, source), draft.duties),
    targets: (change.targets ?? []).reduce((targets, one) => aimed(targets, one, source), draft.targets),
    housing: { ...draft.housing, ...change.housing },
    light: { ...draft.light, ...change.light },
    rest: change.rest ?? draft.rest,
    sources: {
      ...draft.sources,
      ...Object.fromEntries([...named(change.housing), ...named(change.light)]),
    },
  }
}

function changeOf({ patch, target, housing, light }: Override): Change {
  return { duties: patch ? [patch] : [], targets: target ? [target] : [], housing, light }
}

function signedOf({ by, on, until, reason }: Override) {
  return { by, on, reason, ...(until !== undefined && { until }) }
}

function dutyOf(duty: SheetDuty, sheet: Sheet, source: Source): Duty {
  return {
    ...duty,
    ...(sheet.people && { people: sheet.people }),
    ...(sheet.competence && !duty.competence && { competence: sheet.competence }),
    source,
  }
}

function phased(duty: Duty, phase: number): Duty {
  if (duty.cadence.type !== 'perWeek' || duty.cadence.phase !== 0) return duty
  return { ...duty, cadence: { ...duty.cadence, phase } }
}

function begun(sheet: Sheet, stage: Stage, source: Source, day: number): UnfinishedPlan {
  const duties = [
    ...stage.duties.map((duty) => dutyOf(duty, sheet, source)),
    ...setupDuties(sheet.setup, source, day),
  ]
  const empty: UnfinishedPlan = { duties, targets: [], housing: {}, light: {}, sources: {} }
  const { targets, housing, light } = sheet
  const forAll = changed(empty, { targets, housing: { ...housing, ...stage.housing }, light }, source)
  return changed(forAll, { targets: stage.targets }, source)
}

function nextOf(sheet: Sheet, stage: Stage): Plan['next'] {
  const next = sheet.stages[sheet.stages.indexOf(stage) + 1]
  return next && stage.until && { stage: next.id, name: next.name, until: stage.until }
}

/** How it grows, changes its skin and fasts at a stage. */
function lifeOf(sheet: Sheet, stage: Stage): Pick<Plan, 'lives' | 'growth' | 'ecdysis' | 'fasts'> {
  const growth = expectedGrowth(sheet, stage)
  const days = sheet.ecdysis?.days[stage.id]
  const isLast = sheet.stages.at(-1) === stage
  const fasts = (sheet.fasts ?? []).filter(({ stages }) =>
    stages ? isForStage({ stages }, stage.id) : isLast,
  )
  return {
    lives: sheet.lives,
    ...(growth && { growth }),
    ...(sheet.ecdysis &&
      days && {
        ecdysis: {
          what: sheet.ecdysis.what,
          signs: signEvidenceOf(sheet.ecdysis),
          days,
          ...(sheet.ecdysis.eaten && { eaten: true }),
        },
      }),
    ...(fasts.length > 0 && { fasts }),
  }
}

/** Sheet × stage × schools × site overrides × resident overrides, each line knowing its source.
 * Later layers win; within a layer the later day. The order in which overrides are given does not matter. */
export function resolvePlan(sheet: Sheet, choices: PlanChoices): Plan | PlanRefusal {
  const stage = sheet.stages.find(({ id }) => id === choices.stage)
  if (!stage) return { code: 'unknown_stage', stage: choices.stage, known: sheet.stages.map(({ id }) => id) }
  const { day } = choices
  const signed = [
    ...inForceOn(choices.siteOverrides ?? [], day).map((override) => ({ from: 'site', override }) as const),
    ...inForceOn(choices.residentOverrides ?? [], day).map(
      (override) => ({ from: 'resident', override }) as const,
    ),
  ]
  const lit = signed.some(({ override }) => override.light?.uvb !== undefined)
  const options = chosenOptions(sheet, { stage: stage.id, day, schools: choices.schools, lit })
  if ('code' in options) return options
  const source = fromSheet({ sheet: sheet.id, stage: stage.id })
  let draft = begun(sheet, stage, source, day)
  for (const { change, source: chosen } of options) draft = changed(draft, change, chosen)
  for (const { from, override } of signed)
    draft = changed(draft, changeOf(override), { from, ...signedOf(override) })
  const { duties, targets, housing, light, rest, sources } = draft
  const quarantineDays =
    options.map(({ change }) => change.quarantineDays).findLast((days) => days !== undefined) ??
    sheet.quarantineDays
  const next = nextOf(sheet, stage)
  const unseenToWorry = stage.unseenToWorry ?? sheet.unseenToWorry
  const signs = sheet.signs.flatMap(({ shownBy, stages, ...sign }) =>
    shownBy && isForStage({ stages }, stage.id) ? [{ ...sign, shownBy }] : [],
  )
  return {
    sheet: sheet.id,
    stage: stage.id,
    group: sheet.group,
    ...(quarantineDays !== undefined && { quarantineDays }),
    ...(sheet.water && { water: sheet.water }),
    duties: [
      ...duties,
      ...readingDuties(
        draft,
        { ...sheet, ...(stage.waterEvery && { waterEvery: stage.waterEvery }) },
        source,
      ),
    ].map((duty) => phased(duty, choices.phase ?? 0)),
    holds: sheet.holds.flatMap(({ stages, ...rule }) =>
      isForStage({ stages }, stage.id) ? [{ ...rule, source }] : [],
    ),
    targets,
    ...(sheet.coolLoving && { coolLoving: true }),
    ...(Object.keys(housing).length > 0 && { housing }),
    ...(Object.keys(light).length > 0 && { light }),
    ...(Object.keys(sources).length > 0 && { sources }),
    ...(sheet.never.length > 0 && { never: sheet.never }),
    heldFloor: floorRuleOf(sheet),
    bounds: boundsAt(sheet, stage),
    ...(signs.length > 0 && { signs }),
    ...(rest && { rest }),
    ...(next && { next }),
    cautions: sheet.cautions,
    weighing: sheet.weighing,
    ...lifeOf(sheet, stage),
    refusalsToWorry: stage.refusalsToWorry ?? sheet.refusalsToWorry ?? 3,
    standing: sheet.standing,
    ...(unseenToWorry !== undefined && { unseenToWorry }),
    ...(sheet.scale && { scale: sheet.scale }),
  }
}

export function isPlan(result: Plan | { code: string }): result is Plan {
  return 'duties' in result
}
