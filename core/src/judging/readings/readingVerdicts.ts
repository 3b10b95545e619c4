import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { isOfClimateNow } from './climateNow.ts'
import { limitsAt, WATER_ZONE } from '../../plans/readings/limits.ts'
import type { Quantity } from '../../facts/readings/quantity.ts'
import type { LastReading } from '../../facts/readings/readingsState.ts'

/** A reading within what is wanted but for so little is none to speak of, °C. */
const NEAR = 1

/** What harms over days and not within the hour. */
const SLOWLY: readonly Quantity[] = ['humidity', 'uvIndex', 'nitrate']

function isInWater(zone: string, { targets }: Plan): boolean {
  return zone === WATER_ZONE || targets.some((one) => one.zone === zone && one.measures === 'water')
}

interface Who {
  plan: Plan
  holds: readonly HoldKind[]
  pale: boolean
}

function judged(reading: LastReading, { plan, holds, pale }: Who): Verdict | null {
  const { zone, what, value, day, by } = reading
  const limits = limitsAt({ zone, what }, plan, { holds, pale })
  if (!limits) return null
  const { want, harmAbove, harmBelow } = limits
  const harms = (harmAbove !== null && value >= harmAbove) || (harmBelow !== null && value <= harmBelow)
  const slack = what === 'celsius' ? NEAR : 0
  const outside = want !== null && (value < want[0] - slack || value > want[1] + slack)
  if (!harms && !outside) return null
  const high = harms ? harmAbove !== null && value >= harmAbove : want !== null && value > want[1]
  return {
    severity: harms ? (SLOWLY.includes(what) ? 'act' : 'urgent') : 'watch',
    what: { code: 'reading', zone, what, value, high, harms, inWater: isInWater(zone, plan) },
    because: [
      { fact: 'reading', zone, what, value, day, by },
      ...(pale && what === 'uvIndex' ? [{ fact: 'pale' } as const] : []),
      { rule: 'limits', zone, what, want: want && [want[0], want[1]], harmAbove, harmBelow },
      { source: plan.targets.find((one) => one.zone === zone)?.source ?? fromSheet(plan) },
    ],
  }
}

/** Each last reading held against what its zone may be: outside of what harms it is urgent, until a better one
 * was read, or another climate began. */
export function readingVerdicts({ plan, state, holds, readings }: Evidence): Verdict[] {
  const who = { plan, holds: holds.map(({ hold }) => hold), pale: state.identity?.pale === true }
  return Object.values(readings)
    .filter((reading) => isOfClimateNow(reading, { plan, state, holds }))
    .flatMap((reading) => judged(reading, who) ?? [])
}
