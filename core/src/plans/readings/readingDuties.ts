import type { Duty } from '../plan/duty.ts'
import type { PlanTarget } from '../plan/plan.ts'
import type { Source } from '../plan/source.ts'
import type { Light } from '../sheet/housing.ts'
import type { Sheet } from '../sheet/sheet.ts'
import { BASKING_ZONE, WATER_ZONE } from './limits.ts'
import type { Water } from './water.ts'
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

/** Days from one reading of the climate of a rest to the next, where the sheet does not say. */
const WHILE_RESTING = 3

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
  const zones = targets.flatMap(({ zone, readEvery, humidity, during, source: from = source }) => {
    const days = readEvery ?? (during === undefined ? undefined : WHILE_RESTING)
    if (days === undefined) return []
    const rests = during === undefined ? {} : { during }
    return [
      readingDuty({ zone, what: 'celsius', ...rests }, days, from),
      ...(humidity ? [readingDuty({ zone, what: 'humidity', ...rests }, days, from)] : []),
    ]
  })
  const { readEvery } = light.uvb ?? {}
  const uv =
    readEvery === undefined
      ? []
      : [
          {
            ...readingDuty({ zone: BASKING_ZONE, what: 'uvIndex' }, readEvery, sources['uvb'] ?? source),
            effects: ['lighting' as const],
          },
        ]
  const tested = (wanted: Water, days: number) =>
    WATER_QUANTITIES.filter((what) => wanted[what]).map((what) =>
      readingDuty({ zone: WATER_ZONE, what }, days, source),
    )
  return [...zones, ...uv, ...(water && waterEvery !== undefined ? tested(water, waterEvery) : [])]
}
