import type { School, SchoolOption } from '../sheet/school.ts'
import { isForStage } from '../sheet/isForStage.ts'
import type { Sheet } from '../sheet/sheet.ts'
import type { Day } from '../../basics/time/day.ts'
import { isInSeason } from '../../basics/time/season.ts'
import { own } from '../../facts/subjects/own.ts'
import type { DutyPatch } from './duty.ts'
import { hasNeeds } from './needs.ts'
import type { Source } from './source.ts'

export interface UnknownOption {
  code: 'unknown_option'
  school: string
  option: string
  known: string[]
}

/** What an option changes at one stage. */
export interface SchoolPart extends Pick<
  SchoolOption,
  'targets' | 'housing' | 'light' | 'rest' | 'quarantineDays'
> {
  duties: DutyPatch[]
}

/** A change that takes effect because of a school, and where that comes from. */
export interface OptionInForce {
  change: SchoolPart
  source: Source
}

interface Chosen {
  school: School
  option: SchoolOption
}

function chosenOf(school: School, schools: Readonly<Record<string, string>>): Chosen | UnknownOption {
  const chosen = own(schools, school.id) ?? school.default
  const option = school.options.find(({ id }) => id === chosen)
  if (option) return { school, option }
  return {
    code: 'unknown_option',
    school: school.id,
    option: chosen,
    known: school.options.map(({ id }) => id),
  }
}

interface Where {
  stage: string
  day: Day
  schools?: Readonly<Record<string, string>> | undefined
  /** Somebody signed for ultraviolet. */
  lit: boolean
}

/** An option as it is at a stage. */
function atStage(option: SchoolOption, stage: string): SchoolPart {
  const { duties, targets, housing, light, rest, quarantineDays } = option
  return {
    duties: duties.flatMap(({ stages, ...patch }) => (isForStage({ stages }, stage) ? [patch] : [])),
    targets,
    housing,
    light,
    rest,
    quarantineDays,
  }
}

/** The options that take effect at a stage on a day. One that needs what is not there, as seldom D3 where there is no
 * ultraviolet, gives way to the first of its school that can stand, and that says so. */
export function chosenOptions(
  sheet: Sheet,
  { stage, day, schools = {}, lit }: Where,
): OptionInForce[] | UnknownOption {
  const chosen: Chosen[] = []
  for (const school of sheet.schools) {
    const one = chosenOf(school, schools)
    if ('code' in one) return one
    chosen.push(one)
  }
  const isAbout = (option: SchoolOption) =>
    isForStage(option, stage) && (!option.season || isInSeason(option.season, day))
  const lights = [
    sheet.light,
    ...chosen.filter(({ option }) => isAbout(option)).map((one) => one.option.light),
  ]
  const there = { ultraviolet: lit || lights.some((light) => light?.uvb !== undefined) }
  return chosen
    .map(({ school, option }): { option: SchoolOption; source: Source } => {
      const from = { from: 'school', sheet: sheet.id, school: school.id } as const
      const { id, needs } = option
      const stands = hasNeeds(needs, there)
        ? undefined
        : school.options.find((other) => hasNeeds(other.needs, there))
      if (!stands || !needs) return { option, source: { ...from, option: id } }
      return { option: stands, source: { ...from, option: stands.id, insteadOf: { option: id, needs } } }
    })
    .filter(({ option }) => isAbout(option))
    .map(({ option, source }) => ({ change: atStage(option, stage), source }))
}
