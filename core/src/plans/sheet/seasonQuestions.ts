import { isInSeason } from '../../basics/time/season.ts'
import type { Fault } from './fault.ts'
import { isForStage } from './isForStage.ts'
import type { SchoolOption } from './school.ts'
import type { Sheet } from './sheet.ts'

/** 25 November 2026: a winter rest in a house in the north begins about here. Days since 1970. */
export const COOLED_ON = 20_782

function isForOneStage(a: SchoolOption, b: SchoolOption, { stages }: Sheet): boolean {
  return stages.some(({ id }) => isForStage(a, id) && isForStage(b, id))
}

/** A season of one school that falls into the winter rest of another, at the same stage: rain on a sleeper. */
export function seasonQuestions(sheet: Sheet): Fault[] {
  const { schools, holds } = sheet
  const days = holds.find(({ hold }) => hold === 'winterRest')?.days ?? 0
  const rests = schools.flatMap(({ options }) => options.filter(({ rest }) => rest))
  const cold = Array.from({ length: days }, (_, day) => COOLED_ON + day)
  return schools.flatMap(({ options }, school) =>
    options.flatMap((option, index): Fault[] => {
      const { season, name } = option
      const falls = season && cold.some((day) => isInSeason(season, day))
      if (!falls || !rests.some((rest) => rest !== option && isForOneStage(rest, option, sheet))) return []
      return [
        {
          path: ['schools', school, 'options', index, 'season'],
          what: { code: 'seasonInRest', option: name },
        },
      ]
    }),
  )
}
