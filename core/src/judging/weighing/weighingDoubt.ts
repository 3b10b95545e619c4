import { saidOn } from '../../facts/holds/holdsState.ts'
import { shedDays } from '../../facts/skin/skinState.ts'
import type { Doubt } from '../doubts/doubts.ts'
import { doubtAbout } from '../doubts/doubts.ts'
import type { Draft } from '../../facts/entries/entry.ts'
import type { WeightContext } from '../../facts/growth/growthState.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { ExpectedWeight } from './expectedWeight.ts'
import { expectedWeight } from './expectedWeight.ts'

/** What an animal sits in on the balance. */
export interface Tub {
  label: string
  /** Empty, grams. */
  grams: number
}

export interface AtTheBalance {
  /** What it sits in, whose weight was taken off. */
  tub: Tub | null
  /** All that are in use here. */
  tubs: readonly Tub[]
  /** What it weighed within the last minute, where it was weighed. */
  justNow: number | null
}

/** What is asked about a weighing, besides what is asked about any weight. */
export type WeighingDoubt =
  | { code: 'justWeighed'; value: number; usual: number; unit: 'g' }
  /** With a tub's weight taken off, or back on, it is as expected. */
  | { code: 'notTared' | 'taredTwice'; value: number; instead: number; tub: string; unit: 'g' }
  | { code: 'outsideExpected'; value: number; low: number; high: number; unit: 'g' }

type Known = Pick<Evidence, 'day' | 'state' | 'plan'>

function isWithin(grams: number, { low, high }: ExpectedWeight): boolean {
  return grams >= low && grams <= high
}

/** The tub that was left in the weight, or taken off a balance that had taken it off already. */
function tubDoubt(
  value: number,
  expected: ExpectedWeight,
  { tub, tubs }: AtTheBalance,
): WeighingDoubt | null {
  if (tub) {
    const instead = value + tub.grams
    return isWithin(instead, expected)
      ? { code: 'taredTwice', value, instead, tub: tub.label, unit: 'g' }
      : null
  }
  const left = tubs.find(({ grams }) => value > grams && isWithin(value - grams, expected))
  return left ? { code: 'notTared', value, instead: value - left.grams, tub: left.label, unit: 'g' } : null
}

/** What to ask about a weighing before it is kept; null when it is as expected. Everything any weight is asked
 * about, and besides: a tub left in it, a second one within a minute, and whatever lies outside of where ninety-nine
 * of a hundred would. */
export function weighingDoubt(
  draft: Draft & { kind: 'weighed' },
  known: Known,
  at: AtTheBalance,
): Doubt | WeighingDoubt | null {
  const { grams } = draft.payload
  if (at.justNow !== null) return { code: 'justWeighed', value: grams, usual: at.justNow, unit: 'g' }
  const expected = expectedWeight(known)
  const isOutside = expected !== null && !isWithin(grams, expected)
  const ofTub = isOutside ? tubDoubt(grams, expected, at) : null
  if (ofTub) return ofTub
  const doubt = doubtAbout(draft, known)
  if (doubt || !isOutside) return doubt
  const { low, high } = expected
  return { code: 'outsideExpected', value: grams, low, high, unit: 'g' }
}

/** Days a skin that came off still tells in the weight. */
const JUST_SHED_DAYS = 7

/** What could make a weight lie where it does, and would have to be said: heavier with food or eggs, lighter without
 * the old skin. What the record knows already is not asked. */
export function contextToAsk(
  grams: number,
  { day, state, plan }: Known,
  expected: Pick<ExpectedWeight, 'low' | 'high'>,
): WeightContext[] {
  const isGravid = saidOn(state.holds, 'gravid', day) !== undefined
  const lastShed = shedDays(state.skin).at(-1)
  if (grams > expected.high) {
    const sex = state.register?.sex ?? 'unknown'
    return ['fullGut', ...(sex !== 'male' && !isGravid ? (['gravid'] as const) : [])]
  }
  if (grams >= expected.low || !plan.ecdysis) return []
  return lastShed !== undefined && day - lastShed <= JUST_SHED_DAYS ? [] : ['justShed']
}
