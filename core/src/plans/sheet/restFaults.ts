import type { Fault } from './fault.ts'
import { isForStage } from './isForStage.ts'
import type { SchoolOption } from './school.ts'
import type { Sheet } from './sheet.ts'

type Lack = 'gate' | 'hold' | 'climate' | 'weighing'

/** A week and a day: weighed more rarely, a rest that goes wrong is found too late. */
const WEEKLY = 8

function isWeighedWeekly({ duties }: SchoolOption): boolean {
  return duties.some((duty) => {
    const often = 'cadenceDuring' in duty ? duty.cadenceDuring?.winterRest : undefined
    return often?.type === 'every' && often.days <= WEEKLY
  })
}

function lacksOf(option: SchoolOption, { holds, stages }: Sheet): Lack[] {
  const cooled = option.targets.some(({ during }) => during === 'winterRest')
  if (!option.rest && !cooled) return []
  const about = stages.filter(({ id }) => isForStage(option, id))
  const weighed = about.some(({ duties }) => duties.some(({ does }) => does === 'weigh'))
  return [
    ...(option.rest ? [] : (['gate'] as const)),
    ...(cooled ? [] : (['climate'] as const)),
    ...(holds.some(({ hold }) => hold === 'winterRest') ? [] : (['hold'] as const)),
    ...(weighed && !isWeighedWeekly(option) ? (['weighing'] as const) : []),
  ]
}

/** A winter rest that does not bring all it takes: who may rest and how it ends, its temperatures, the hold that
 * keeps food and baths away, and its weighing. Without them it is no side to choose. */
export function restFaults(sheet: Sheet): Fault[] {
  return sheet.schools.flatMap(({ options }, school) =>
    options.flatMap((option, index) =>
      lacksOf(option, sheet).map((lack): Fault => ({
        path: ['schools', school, 'options', index],
        what: { code: 'restLacks', option: option.name, lack },
      })),
    ),
  )
}
