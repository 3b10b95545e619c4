import type { Sheet } from '../sheet/sheet.ts'
import type { Plan } from './plan.ts'
import { isPlan, resolvePlan } from './resolvePlan.ts'

/** The sides a sheet is shipped with, and each other side of every question by itself. Two that only together ask for
 * too much are not found this way; all of them together would be more than can be walked. */
function choicesOf({ schools }: Sheet): Record<string, string>[] {
  return [
    {},
    ...schools.flatMap(({ id, options, default: usual }) =>
      options.filter((option) => option.id !== usual).map((option) => ({ [id]: option.id })),
    ),
  ]
}

/** The plan of a day for every stage of a sheet and every side of its schools. */
export function everyPlan(sheet: Sheet, day: number): Plan[] {
  const choices = choicesOf(sheet)
  return sheet.stages.flatMap(({ id: stage }) =>
    choices.map((schools) => resolvePlan(sheet, { stage, schools, day })).filter(isPlan),
  )
}
