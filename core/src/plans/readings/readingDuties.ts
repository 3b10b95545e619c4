import type { Duty } from '../plan/duty.ts'
import type { PlanTarget } from '../plan/plan.ts'
import type { Source } from '../plan/source.ts'
import type { Light } from '../sheet/housing.ts'
import type { Sheet } from '../sheet/sheet.ts'
import { BASKING_ZONE, livesInWater, WATER_ZONE } from './limits.ts'
import { WATER_QUANTITIES } from './water.ts'

/** A duty to read one quantity at one zone. */
function readingDuty(reads: NonNullable<Duty['reads']>, days: number, source: Source): Duty {
  const { zone, what } = reads
  return {
    id: `read:${what}:${zone}`.slice(0, 40),
    does: 'read',
    reads,
    cadence: { type: 'every', days, tolerance: Math.ceil(days / 4) },
    people: 1,
    minutes: 1,
    source,
  }
}

/** Days from one reading to the next where the sheet does not say: of the climate of a rest, of a zone that has limits,
 * of the light where it basks, of water that something lives in. */
const WHILE_RESTING = 3
const OF_A_ZONE = 28
const OF_LIGHT = 180
const OF_WATER = 7

const SOONEST = ['ammonia', 'nitrite'] as const

function hasWarmth({ celsius, nightCelsius, ceilingCelsius, neverBelowCelsius }: PlanTarget): boolean {
  return [celsius, nightCelsius, ceilingCelsius, neverBelowCelsius].some((one) => one !== undefined)
}

function hasDamp({ humidity, humidityHarms }: PlanTarget): boolean {
  return humidity !== undefined || humidityHarms !== undefined
}

interface Read {
  targets: readonly PlanTarget[]
  light: Light
  sources: Readonly<Record<string, Source>>
}

/** What the walk asks to be read: each zone as often as it says, the ultraviolet where the animal basks, the
 * water. */
export function readingDuties(
  { targets, light, sources }: Read,
  { water, waterEvery }: Pick<Sheet, 'water' | 'waterEvery'>,
  source: Source,
): Duty[] {
  const zones = targets.flatMap((target) => {
    const { zone, during, source: from = source } = target
    const days = target.readEvery ?? (during === undefined ? OF_A_ZONE : WHILE_RESTING)
    const rests = during === undefined ? {} : { during }
    return [
      ...(hasWarmth(target) ? [readingDuty({ zone, what: 'celsius', ...rests }, days, from)] : []),
      ...(hasDamp(target) ? [readingDuty({ zone, what: 'humidity', ...rests }, days, from)] : []),
    ]
  })
  const { uvb } = light
  const uv = uvb?.index
    ? [
        {
          ...readingDuty(
            { zone: BASKING_ZONE, what: 'uvIndex' },
            uvb.readEvery ?? OF_LIGHT,
            sources['uvb'] ?? source,
          ),
          effects: ['lighting' as const],
        },
      ]
    : []
  const livesIn = livesInWater({ targets, water })
  // Of water without limits of its own what poisons soonest is asked for.
  const tested = water ? WATER_QUANTITIES.filter((what) => water[what]) : SOONEST
  const tests = tested.map((what) => readingDuty({ zone: WATER_ZONE, what }, waterEvery ?? OF_WATER, source))
  return [...zones, ...uv, ...(livesIn ? tests : [])]
}
