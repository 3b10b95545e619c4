import type { Duty, DutyPatch } from '../../plans/plan/duty.ts'
import type { Plan } from '../../plans/plan/plan.ts'

/** Body condition on a scale of 1, starved, to 5, obese; 3 is right. Between 2.5 and 3.5 nothing changes. */
export const THIN = 2
export const FAT = 4
const STEP = 1.25

/** The interval a quarter longer or shorter, in whole days and never the same; null where there is none. */
function scaledDays(days: number, factor: number): number | null {
  const rounded = Math.round(days * factor)
  const scaled = rounded === days ? days + Math.sign(factor - 1) : rounded
  return scaled >= 1 ? scaled : null
}

function scaled(duty: Duty, factor: number): DutyPatch | null {
  const { id, cadence, amount } = duty
  // An interval of days stretches; where food is daily the portion changes instead.
  if (cadence.type === 'every' && cadence.days > 1) {
    const days = scaledDays(cadence.days, factor)
    return days === null ? null : { id, cadence: { ...cadence, days } }
  }
  if (amount?.by === 'portion')
    return {
      id,
      amount: {
        ...amount,
        grams: amount.grams / factor,
        min: amount.min / factor,
        max: amount.max / factor,
      },
    }
  return null
}

/** What a body-condition score proposes for the feeding: longer intervals or smaller portions when fat,
 * the reverse when thin, by a quarter at a time. Empty when the score is right or nothing can be scaled.
 * A proposal waits for a senior's yes. */
export function conditionAdvice(score: number, plan: Plan): DutyPatch[] {
  if (score > THIN && score < FAT) return []
  const factor = score >= FAT ? STEP : 1 / STEP
  return plan.duties.filter(({ does }) => does === 'feed').flatMap((duty) => scaled(duty, factor) ?? [])
}
