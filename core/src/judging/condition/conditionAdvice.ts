import type { AmountRule, Duty, DutyPatch, Food } from '../../plans/plan/duty.ts'
import type { Cadence } from '../../plans/plan/cadence.ts'
import type { Plan } from '../../plans/plan/plan.ts'

/** Body condition on a scale of 1, starved, to 5, obese; 3 is right. Between 2.5 and 3.5 nothing changes. */
export const THIN = 2
export const FAT = 4
const STEP = 1.25

/** A number a quarter larger or smaller, whole and never the same; null where there is none above 0. */
function scaledWhole(value: number, factor: number): number | null {
  const rounded = Math.round(value * factor)
  const scaled = rounded === value ? value + Math.sign(factor - 1) : rounded
  return scaled >= 1 ? scaled : null
}

/** A longer or shorter interval; null where food is daily, or on fixed days. */
function scaledCadence(cadence: Cadence, factor: number): Cadence | null {
  if (cadence.type === 'every' && cadence.days > 1) {
    const days = scaledWhole(cadence.days, factor)
    return days === null ? null : { ...cadence, days }
  }
  if (cadence.type === 'perWeek') {
    const times = scaledWhole(cadence.times, 1 / factor)
    return times === null || times > 7 ? null : { ...cadence, times }
  }
  return null
}

function scaledRange([low, high]: readonly [number, number], by: number): [number, number] | null {
  const [least, most] = [scaledWhole(low, by) ?? 1, scaledWhole(high, by)]
  if (most === null || (least === low && most === high)) return null
  return [Math.min(least, most), most]
}

/** A larger or smaller meal; null where it cannot be made smaller. */
function scaledAmount(amount: AmountRule, factor: number): AmountRule | null {
  const by = 1 / factor
  switch (amount.by) {
    case 'portion': {
      const { grams, min, max } = amount
      return { ...amount, grams: grams * by, min: min * by, max: max * by }
    }
    case 'massShare':
      return { ...amount, share: [amount.share[0] * by, amount.share[1] * by] }
    case 'count':
    case 'width': {
      const count = scaledRange(amount.count, by)
      return count && { ...amount, count }
    }
  }
}

/** The interval first; where food is daily the meal changes instead. */
function scaled({ id, cadence, amount }: Duty, factor: number): DutyPatch[] {
  const longer = scaledCadence(cadence, factor)
  if (longer) return [{ id, cadence: longer }]
  const smaller = amount && scaledAmount(amount, factor)
  return smaller ? [{ id, amount: smaller }] : []
}

function isRich({ rich }: Food): boolean {
  return rich === true
}

/** The same duty without its rich foods, or not at all where it is nothing but a treat; nothing where none is rich. */
function withoutRich({ id, foods = [] }: Duty): DutyPatch[] {
  const lean = foods.filter((food) => !isRich(food))
  if (lean.length === foods.length) return []
  return lean.length > 0 ? [{ id, foods: lean }] : [{ id, drop: true }]
}

/** What a body-condition score proposes for the feeding. When fat the rich foods go first, and only where there are none
 * left the interval grows longer or the meal smaller, by a quarter at a time; when thin the reverse of the second.
 * Greens, leaves and water are never changed. Empty when the score is right or there is nothing left to change.
 * A proposal waits for a senior's yes. */
export function conditionAdvice(score: number, plan: Plan): DutyPatch[] {
  if (score > THIN && score < FAT) return []
  const fed = plan.duties.filter(({ does, staple }) => does === 'feed' && staple !== true)
  if (score < FAT) return fed.flatMap((duty) => scaled(duty, 1 / STEP))
  const leaner = fed.flatMap(withoutRich)
  return leaner.length > 0 ? leaner : fed.flatMap((duty) => scaled(duty, STEP))
}
