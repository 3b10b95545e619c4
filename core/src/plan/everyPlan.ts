import type { Sheet } from '../sheet/sheet.ts'
import type { Plan } from './plan.ts'
import { isPlan, resolvePlan } from './resolvePlan.ts'

type Choices = Record<string, string>

/** More ways to choose than this are not walked one by one. */
const MOST_CHOICES = 512

function oneAtATime({ schools }: Sheet): Choices[] {
  return [
    {},
    ...schools.flatMap(({ id, options, default: usual }) =>
      options.filter((option) => option.id !== usual).map((option) => ({ [id]: option.id })),
    ),
  ]
}

/** Every way a house can choose among the schools of a sheet: all combinations of their options, or, where those are
 * more than can be walked (512), the usual ones with one school changed at a time. */
export function everyChoice(sheet: Sheet): Choices[] {
  const { schools } = sheet
  const many = schools.reduce((product, { options }) => product * options.length, 1)
  if (many > MOST_CHOICES) return oneAtATime(sheet)
  return schools.reduce<Choices[]>(
    (choices, { id, options }) =>
      options.flatMap((option) => choices.map((choice) => ({ ...choice, [id]: option.id }))),
    [{}],
  )
}

/** The plan of a day for every stage of a sheet and every choice of its schools. */
export function everyPlan(sheet: Sheet, day: number): Plan[] {
  const choices = everyChoice(sheet)
  return sheet.stages.flatMap(({ id: stage }) =>
    choices.map((schools) => resolvePlan(sheet, { stage, schools, day })).filter(isPlan),
  )
}
