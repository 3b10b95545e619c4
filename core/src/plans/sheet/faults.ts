import type { Duty, DutyPatch } from '../plan/duty.ts'
import { hasNeeds } from '../plan/needs.ts'
import type { Fault, FaultCode } from './fault.ts'
import type { ZoneTarget } from './climate.ts'
import { restFaults } from './restFaults.ts'
import type { School } from './school.ts'
import type { Sheet } from './sheet.ts'
import { zonesOf } from './zonesOf.ts'
import type { StageEnd } from './stage.ts'

type Path = Fault['path']
type Amounted = Pick<Exclude<DutyPatch, { drop: true }>, 'id' | 'amount' | 'foods'>

type Listed = Extract<FaultCode, { code: 'twice' }>['what']

function duplicates(items: readonly { id: string }[], path: Path, what: Listed): Fault[] {
  return items.flatMap(({ id }, index) =>
    items.findIndex((other) => other.id === id) < index
      ? [{ path: [...path, index, 'id'], what: { code: 'twice', what, id } }]
      : [],
  )
}

/** What contradicts itself in the wishes of one zone. */
export function zoneFaults(target: ZoneTarget, path: Path): Fault[] {
  const faults: Fault[] = []
  for (const field of ['celsius', 'nightCelsius', 'humidity'] as const) {
    const range = target[field]
    if (range && range[0] > range[1])
      faults.push({
        path: [...path, field],
        what: { code: 'backwards', of: target.zone, from: range[0], to: range[1] },
      })
  }
  const { ceilingCelsius: ceiling, neverBelowCelsius: neverBelow, celsius, nightCelsius, humidity } = target
  const warmest = Math.max(celsius?.[1] ?? -Infinity, nightCelsius?.[1] ?? -Infinity)
  if (ceiling !== undefined && ceiling <= warmest)
    faults.push({
      path: [...path, 'ceilingCelsius'],
      what: { code: 'ceilingTooLow', zone: target.zone, ceiling, wanted: warmest },
    })
  const coolest = Math.min(celsius?.[0] ?? Infinity, nightCelsius?.[0] ?? Infinity)
  if (neverBelow !== undefined && neverBelow >= coolest)
    faults.push({
      path: [...path, 'neverBelowCelsius'],
      what: { code: 'neverBelowTooHigh', zone: target.zone, neverBelow, wanted: coolest },
    })
  if (humidity && humidity[1] > 100)
    faults.push({ path: [...path, 'humidity'], what: { code: 'overSaturated', zone: target.zone } })
  return faults
}

/** Recurring work that is not daily says how far it may slip: without that it is late the day after. */
function windowless(cadence: Duty['cadence']): boolean {
  if (cadence.type === 'every') return cadence.days >= 3 && cadence.tolerance === 0
  return cadence.type === 'after' && cadence.days >= 3 && cadence.tolerance === 0
}

function amountFaults({ amount, foods = [], id }: Amounted, path: Path): Fault[] {
  if (!amount) return []
  const sizes = foods.flatMap((food) => food.sizes)
  const bare = (field: 'grams' | 'widthMm') => sizes.find((size) => size[field] === undefined)
  if (amount.by === 'massShare' && foods.length > 0 && (sizes.length === 0 || bare('grams')))
    return [{ path: [...path, 'foods'], what: { code: 'sizesLack', duty: id, lack: 'grams' } }]
  if (amount.by === 'width' && foods.length > 0 && (sizes.length === 0 || bare('widthMm')))
    return [{ path: [...path, 'foods'], what: { code: 'sizesLack', duty: id, lack: 'width' } }]
  if (amount.by === 'portion' && (amount.min > amount.grams || amount.grams > amount.max))
    return [
      {
        path: [...path, 'amount'],
        what: { code: 'portionOutside', duty: id, grams: amount.grams, min: amount.min, max: amount.max },
      },
    ]
  if (amount.by !== 'portion') {
    const range = amount.by === 'massShare' ? amount.share : amount.count
    if (range[0] > range[1])
      return [
        { path: [...path, 'amount'], what: { code: 'backwards', of: id, from: range[0], to: range[1] } },
      ]
  }
  return []
}

const EYE_GAP = /gap between (its|the|their) eyes/

/** Where its never-list says that no prey may be wider than the gap between its eyes, insects are counted out by that
 * gap: the head is half as wide again. */
function isWiderThanEyes({ amount, foods = [] }: Amounted, never: readonly string[]): boolean {
  if (!amount || !never.some((line) => EYE_GAP.test(line))) return false
  if (amount.by === 'width') return amount.part !== 'eyeGap' || amount.factor > 1
  return (
    amount.by === 'count' && foods.some(({ sizes }) => sizes.some(({ widthMm }) => widthMm !== undefined))
  )
}

function dutyFaults(duty: DutyPatch, path: Path, never: readonly string[]): Fault[] {
  if ('drop' in duty) return []
  const { id, cadence, cadenceDuring = {}, window, foods = [] } = duty
  const faults = amountFaults(duty, path)
  if (isWiderThanEyes(duty, never))
    faults.push({ path: [...path, 'amount'], what: { code: 'widerThanEyes', duty: id } })
  const cadences = [
    { at: ['cadence'], often: cadence },
    ...Object.entries(cadenceDuring).map(([hold, often]) => ({ at: ['cadenceDuring', hold], often })),
  ]
  for (const { at, often } of cadences)
    if (often && windowless(often))
      faults.push({ path: [...path, ...at], what: { code: 'noTolerance', duty: id } })
  if (window && window.from >= window.until)
    faults.push({ path: [...path, 'window'], what: { code: 'windowShut', duty: id } })
  foods.forEach(({ item }, index) => {
    if (never.includes(item))
      faults.push({ path: [...path, 'foods', index], what: { code: 'neverOffered', duty: id, item } })
  })
  return faults
}

function reachFaults({ stages }: Sheet): Fault[] {
  return stages.flatMap((stage, index): Fault[] => {
    const next = stages[index + 1]
    if (!next) return []
    const triggers = Object.entries(stage.until ?? {}) as [keyof StageEnd, number][]
    if (triggers.length === 0)
      return [
        {
          path: ['stages', index, 'until'],
          what: { code: 'unreachable', stage: stage.name, next: next.name },
        },
      ]
    return stages.slice(0, index).flatMap((earlier) =>
      triggers.flatMap(([trigger, limit]): Fault[] => {
        const before = earlier.until?.[trigger]
        if (before === undefined || before < limit || triggers.length > 1) return []
        return [
          {
            path: ['stages', index, 'until', trigger],
            what: {
              code: 'nobodyStays',
              stage: stage.name,
              ends: limit,
              earlier: earlier.name,
              earlierEnds: before,
            },
          },
        ]
      }),
    )
  })
}

/** With ultraviolet, without, or as somebody chooses. */
function mayBeLit({ light, schools }: Sheet): boolean[] {
  if (light?.uvb) return [true]
  return schools.some(({ options }) => options.some((option) => option.light?.uvb)) ? [true, false] : [false]
}

function unknownStages(named: readonly string[] | undefined, path: Path, { stages }: Sheet): Fault[] {
  return (named ?? [])
    .filter((stage) => !stages.some(({ id }) => id === stage))
    .map((stage) => ({ path, what: { code: 'stageUnknown', stage } }))
}

function schoolFaults(school: School, path: Path, sheet: Sheet): Fault[] {
  const faults = duplicates(school.options, [...path, 'options'], 'options')
  if (!school.options.some(({ id }) => id === school.default))
    faults.push({
      path: [...path, 'default'],
      what: { code: 'defaultUnknown', question: school.question, option: school.default },
    })
  for (const ultraviolet of mayBeLit(sheet))
    if (!school.options.some(({ needs }) => hasNeeds(needs, { ultraviolet })))
      faults.push({
        path: [...path, 'options'],
        what: { code: 'noOptionStands', question: school.question, ultraviolet },
      })
  school.options.forEach((option, index) => {
    const at = [...path, 'options', index]
    faults.push(...unknownStages(option.stages, [...at, 'stages'], sheet))
    option.duties.forEach(({ stages }, number) =>
      faults.push(...unknownStages(stages, [...at, 'duties', number, 'stages'], sheet)),
    )
    option.duties.forEach((duty, number) =>
      faults.push(...dutyFaults(duty, [...at, 'duties', number], sheet.never)),
    )
  })
  return faults
}

/** A year the wrong way round: a winter day longer than a summer day. */
function lightFaults({ light }: Sheet): Fault[] {
  const [summer, winter] = [light?.hours?.[1], light?.winterHours?.[1]]
  if (summer === undefined || winter === undefined || winter <= summer) return []
  return [{ path: ['light', 'winterHours'], what: { code: 'winterLonger', winter, summer } }]
}

function referenceFaults(sheet: Sheet): Fault[] {
  const { ecdysis, fasts = [], signs, holds } = sheet
  return [
    ...holds.flatMap(({ stages }, index) => unknownStages(stages, ['holds', index, 'stages'], sheet)),
    ...Object.keys(ecdysis?.days ?? {}).flatMap((stage) =>
      unknownStages([stage], ['ecdysis', 'days', stage], sheet),
    ),
    ...fasts.flatMap(({ stages }, index) => unknownStages(stages, ['fasts', index, 'stages'], sheet)),
    ...signs.flatMap(({ stages }, index) => unknownStages(stages, ['signs', index, 'stages'], sheet)),
    ...signs.flatMap(({ sign, severity, first }, index) =>
      severity === 'urgent' && !/vet/i.test(first ?? '')
        ? [{ path: ['signs', index], what: { code: 'vetUnnamed', sign } as const }]
        : [],
    ),
  ]
}

/** What in a sheet cannot stand, although every field can be read: contradictory ranges, ceilings below
 * targets, duties without a window, stages nobody can reach, references to nothing. Empty for a sound sheet. */
export function sheetFaults(sheet: Sheet): Fault[] {
  return [
    ...duplicates(sheet.stages, ['stages'], 'stages'),
    ...duplicates(sheet.schools, ['schools'], 'schools'),
    ...sheet.stages.flatMap(({ duties }, index) => [
      ...duplicates(duties, ['stages', index, 'duties'], 'duties'),
      ...duties.flatMap((duty, number) => dutyFaults(duty, ['stages', index, 'duties', number], sheet.never)),
    ]),
    ...zonesOf(sheet).flatMap(({ target, path }) => zoneFaults(target, path)),
    ...reachFaults(sheet),
    ...sheet.schools.flatMap((school, index) => schoolFaults(school, ['schools', index], sheet)),
    ...restFaults(sheet),
    ...lightFaults(sheet),
    ...referenceFaults(sheet),
  ]
}
