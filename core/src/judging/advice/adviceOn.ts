import type { Plan } from '../../plans/plan/plan.ts'
import type { Hold } from '../holds/holdsOn.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import type { AdviceId } from './adviceIds.ts'
import { ADVICE } from './adviceTable.ts'
import type { Advised } from './circumstance.ts'
import { isCase } from './circumstance.ts'

/** What to do next, and where that comes from. */
export interface Next {
  advice: AdviceId
  source: string
  /** What the sheet itself says to do first. */
  first?: string
  /** How the sheet wakes one that rests, step by step. */
  steps?: readonly string[]
  /** Where the sheet wants it to rest, °C. */
  celsius?: [number, number]
}

interface Known {
  plan: Pick<Plan, 'group' | 'lives' | 'next' | 'rest' | 'targets'>
  holds: readonly Pick<Hold, 'hold'>[]
}

/** Advice that goes by the steps with which the sheet wakes one that rests. */
const BY_STEPS: readonly AdviceId[] = ['restWake', 'restWakeLate', 'restTooWarm', 'restNotPlanned']
/** Advice that goes back to what the sheet wants of a rest. */
const BY_REST: readonly AdviceId[] = ['restTooWarm', 'restWarm', 'restFrost', 'restCold']
/** Advice that gives way to what the sheet itself says to do first. */
const BY_SHEET: readonly AdviceId[] = [
  'losingReptile',
  'losingYoungReptile',
  'losingAmphibian',
  'losingOther',
]

function isDry({ what }: Verdict): boolean {
  return what.code === 'reading' && what.what === 'humidity' && !what.high
}

function advisedOf(verdicts: readonly Verdict[], { plan, holds }: Known): Advised {
  return {
    group: plan.group ?? null,
    young: plan.next !== undefined,
    colony: plan.lives === 'colony',
    holds: holds.map(({ hold }) => hold),
    dry: verdicts.some(isDry),
  }
}

/** What to do next about a verdict on somebody, as the table has it for its group, stage, hold and severity. `all`: what
 * else is said of it. Null where the headline says it all. */
export function adviceOn(verdict: Verdict, all: readonly Verdict[], known: Known): Next | null {
  const advised = advisedOf(all, known)
  const row = ADVICE.find((one) => one.of === verdict.what.code && isCase(one.when ?? {}, verdict, advised))
  if (!row) return null
  const { plan } = known
  const { next: advice, source } = row
  const first = verdict.what.code === 'losing' && BY_SHEET.includes(advice) ? verdict.what.first : null
  const wanted = plan.targets.find(({ during }) => during === 'winterRest')?.celsius
  return {
    advice,
    source,
    ...(first !== null && { first }),
    ...(BY_STEPS.includes(advice) && plan.rest && { steps: plan.rest.wake }),
    ...(BY_REST.includes(advice) && wanted && { celsius: [wanted[0], wanted[1]] }),
  }
}
