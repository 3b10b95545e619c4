import type { ZoneTarget } from '../sheet/climate.ts'
import type { Fault, FaultCode } from '../sheet/fault.ts'
import type { Range } from '../../basics/range.ts'
import type { Sheet } from '../sheet/sheet.ts'
import type { Zone } from '../sheet/zonesOf.ts'
import { zonesOf } from '../sheet/zonesOf.ts'
import type { Askable } from './askable.ts'
import { ASKABLE } from './askable.ts'
import type { GroupSizes } from './groups.ts'
import { GROUP_SIZES } from './groups.ts'

type Path = Fault['path']
type Of = Extract<FaultCode, { code: 'outsideGroup' }>['of']

function outside(
  values: readonly number[],
  [low, high]: Range,
  about: { of: Of; what: string; path: Path },
): Fault[] {
  const { of, what, path } = about
  return values
    .filter((value) => value < low || value > high)
    .slice(0, 1)
    .map((value) => ({ path, what: { code: 'outsideGroup', of, what, value, low, high } }))
}

/** How far above what its group may be asked to live in a ceiling can lie. */
const CEILING_ABOVE = 5

function wanted({ celsius, nightCelsius }: ZoneTarget): number[] {
  return [...(celsius ?? []), ...(nightCelsius ?? [])]
}

/** A rest is colder than the life of any group, and has limits of its own. */
function zoneQuestions({ target, path }: Zone, { around, surface }: Askable): Fault[] {
  const { zone, measures, ceilingCelsius, during } = target
  if (during !== undefined) return []
  const range: Range = measures === 'surface' ? [around[0], surface] : around
  return [
    ...outside(wanted(target), range, { of: 'zone', what: zone, path }),
    ...outside(ceilingCelsius === undefined ? [] : [ceilingCelsius], [around[0], range[1] + CEILING_ABOVE], {
      of: 'ceiling',
      what: zone,
      path: [...path, 'ceilingCelsius'],
    }),
  ]
}

/** The smallest portion a stage may be brought down to, against the lightest animal it is for. A portion for many says
 * nothing of one. */
function portionQuestions({ stages }: Sheet, { meal }: Askable): Fault[] {
  return stages.flatMap(({ duties, plausible }, stage) =>
    duties.flatMap(({ id, amount }, index) => {
      const lightest = plausible?.grams?.[0]
      if (amount?.by !== 'portion' || amount.per !== undefined || lightest === undefined) return []
      const path = ['stages', stage, 'duties', index, 'amount']
      return outside([amount.min / lightest], [0, meal], { of: 'meal', what: id, path })
    }),
  )
}

/** Every duty of the stages and of the schools, and where what it belongs to stands in the sheet. */
function dutiesOf({ stages, schools }: Sheet) {
  return [
    ...stages.flatMap(({ duties }, stage) =>
      duties.map((duty, index) => ({ duty, index, owner: ['stages', stage] as Path })),
    ),
    ...schools.flatMap(({ options }, school) =>
      options.flatMap(({ duties }, option) =>
        duties.map((duty, index) => ({ duty, index, owner: ['schools', school, 'options', option] as Path })),
      ),
    ),
  ]
}

function mealQuestions(sheet: Sheet, { meal }: Askable): Fault[] {
  return dutiesOf(sheet).flatMap(({ duty, index, owner }) =>
    'amount' in duty && duty.amount?.by === 'massShare'
      ? outside(duty.amount.share, [0, meal], {
          of: 'meal',
          what: duty.id,
          path: [...owner, 'duties', index, 'amount'],
        })
      : [],
  )
}

function sizeQuestions({ adult, stages }: Sheet, { grams, mm }: GroupSizes): Fault[] {
  const faults: Fault[] = []
  const check = (given: Range | undefined, limits: Range | undefined, of: Of, what: string, path: Path) => {
    if (given && limits) faults.push(...outside(given, limits, { of, what, path }))
  }
  check(adult?.grams, grams, 'grams', 'adult', ['adult', 'grams'])
  if (adult?.part) check(adult.mm, mm[adult.part], 'mm', 'adult', ['adult', 'mm'])
  for (const [index, { name, plausible }] of stages.entries()) {
    const path = ['stages', index, 'plausible']
    check(plausible?.grams, grams, 'grams', name, path)
    for (const [part, range] of Object.entries(plausible?.mm ?? {}))
      check(range, mm[part as keyof typeof mm], 'mm', name, path)
  }
  return faults
}

/** From a tube to the back below it, mm: nearer it burns, further away it does nothing. */
const LAMP_MM: Range = [150, 700]

/** Light, damp, rhythm and time apart that no animal of the group is kept with. */
function careQuestions(sheet: Sheet, limits: Askable): Fault[] {
  const { stages, schools, light, quarantineDays } = sheet
  const lights = [{ light, path: ['light'] as Path }, ...schoolsOf(schools)]
  const last = stages.length - 1
  return [
    ...lights.flatMap(({ light: one, path }) => [
      ...outside(one?.uvb?.index ?? [], [0, limits.ultraviolet], { of: 'ultraviolet', what: 'light', path }),
      ...outside(one?.uvb?.distanceMm ?? [], LAMP_MM, { of: 'lampDistance', what: 'light', path }),
    ]),
    ...zonesOf(sheet).flatMap(({ target: { zone, humidity, measures, during }, path }) =>
      measures === 'water' || during !== undefined
        ? []
        : outside(humidity ?? [], [limits.driest, 100], { of: 'humidity', what: zone, path }),
    ),
    ...(stages[last]?.duties ?? []).flatMap(({ id, does, cadence }, index) =>
      does === 'feed' && cadence.type === 'every' && id === 'feed'
        ? outside([cadence.days], [0, limits.fasts], {
            of: 'rhythm',
            what: id,
            path: ['stages', last, 'duties', index, 'cadence'],
          })
        : [],
    ),
    ...outside(quarantineDays === undefined ? [] : [quarantineDays], [limits.quarantine, 400], {
      of: 'quarantine',
      what: 'quarantineDays',
      path: ['quarantineDays'],
    }),
    ...d3Questions(sheet),
  ]
}

function schoolsOf(schools: Sheet['schools']): { light: Sheet['light']; path: Path }[] {
  return schools.flatMap(({ options }, school) =>
    options.map(({ light }, index) => ({
      light,
      path: ['schools', school, 'options', index, 'light'],
    })),
  )
}

/** Vitamin D3 is stored, and poisons: never day after day. */
const D3_DAYS = 2

function d3Questions(sheet: Sheet): Fault[] {
  return dutiesOf(sheet).flatMap(({ duty, owner }) =>
    'drop' in duty
      ? []
      : (duty.supplements ?? [])
          .filter(({ name }) => /D3/.test(name))
          .flatMap(({ name, everyDays = 0 }) =>
            outside([everyDays], [D3_DAYS, 60], { of: 'd3', what: name, path: owner }),
          ),
  )
}

/** Room enough called what no animal of the group, however young, lives in. */
function crowdQuestions({ housing, stages }: Sheet, { crowd }: Askable): Fault[] {
  const rooms = [
    { housing, what: 'adult', path: ['housing'] as Path },
    ...stages.map((stage, index) => ({
      housing: stage.housing,
      what: stage.name,
      path: ['stages', index, 'housing'] as Path,
    })),
  ]
  return rooms.flatMap(({ housing: one, what, path }) =>
    (['perLitre', 'per100Cm2'] as const).flatMap((by) =>
      outside(one?.numbers?.[by] ?? [], [0, crowd[by]], {
        of: by,
        what,
        path: [...path, 'numbers', by],
      }),
    ),
  )
}

/** Where a sheet asks for what no animal of its group could bear or be: a second opinion, asked about and not
 * refused, since a house may know a species better than a table. */
export function groupQuestions(sheet: Sheet): Fault[] {
  const limits = ASKABLE[sheet.group]
  return [
    ...zonesOf(sheet).flatMap((zone) => zoneQuestions(zone, limits)),
    ...mealQuestions(sheet, limits),
    ...portionQuestions(sheet, limits),
    ...sizeQuestions(sheet, GROUP_SIZES[sheet.group]),
    ...careQuestions(sheet, limits),
    ...crowdQuestions(sheet, limits),
  ]
}
