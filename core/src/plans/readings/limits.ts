import type { Plan } from '../plan/plan.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { ZoneTarget } from '../sheet/climate.ts'
import { roomLimits, zonesNow } from '../sheet/climate.ts'
import type { Quantity } from '../../facts/readings/quantity.ts'
import type { Point } from '../../facts/readings/readingsState.ts'
import { WATER_QUANTITIES } from './water.ts'

/** What a reading is held against; null where nothing is said. */
export interface Limits {
  want: readonly [number, number] | null
  harmAbove: number | null
  harmBelow: number | null
}

/** The zone of the water where its tests are written down. */
export const WATER_ZONE = 'water'
/** The zone of the ultraviolet reading. */
export const BASKING_ZONE = 'where it basks'

function ofZone(zone: string, plan: Plan, holds: readonly HoldKind[]): Limits | null {
  const now = zonesNow(plan.targets, holds)
  const target = now.find((one) => one.zone === zone)
  if (!target) {
    // A surface of its waking life says nothing of its rest.
    if (plan.targets.some((one) => one.zone === zone && one.measures === 'surface')) return null
    // Some other point of the enclosure: only what surrounds it everywhere can be said of it.
    const { ceiling, neverBelow } = roomLimits(now)
    return { want: null, harmAbove: ceiling, harmBelow: neverBelow }
  }
  const { celsius, nightCelsius, ceilingCelsius, neverBelowCelsius } = target
  const all = [...(celsius ?? []), ...(nightCelsius ?? [])]
  return {
    want: all.length > 0 ? [Math.min(...all), Math.max(...all)] : null,
    harmAbove: ceilingCelsius ?? null,
    harmBelow: neverBelowCelsius ?? null,
  }
}

/** An index from half as much again as is wanted burns eyes and skin, and from 4 up those of any shy animal. */
const UV_HARMS = 1.5
const UV_HARMS_FROM = 4

function onlyWanted(want: readonly [number, number] | undefined): Limits | null {
  return want ? { want, harmAbove: null, harmBelow: null } : null
}

/** What a plan says of a quantity at a zone: what is wanted there by day or by night, and what harms. */
export function limitsAt({ zone, what }: Point, plan: Plan, holds: readonly HoldKind[]): Limits | null {
  switch (what) {
    case 'celsius':
      return ofZone(zone, plan, holds)
    case 'humidity':
      return onlyWanted(zonesNow(plan.targets, holds).find((one) => one.zone === zone)?.humidity)
    case 'uvIndex': {
      const want = plan.light?.uvb?.index
      return want ? { want, harmAbove: Math.max(want[1] * UV_HARMS, UV_HARMS_FROM), harmBelow: null } : null
    }
    default: {
      const limit = plan.water?.[what]
      if (!limit) return null
      const { want, harmAbove = null, harmBelow = null } = limit
      return { want, harmAbove, harmBelow }
    }
  }
}

/** Whether a point counts now: those of its waking life are not read while it rests, nor the other way round. `now`: the zones that
 * count. */
export function isReadNow({ zone, what }: Point, now: readonly ZoneTarget[]): boolean {
  if (what !== 'celsius' && what !== 'humidity') return true
  return now.some((one) => one.zone === zone)
}

/** Every point a plan says something of. */
export function pointsOf(plan: Plan, holds: readonly HoldKind[] = []): Point[] {
  const zones = zonesNow(plan.targets, holds).flatMap(
    ({ zone, celsius, ceilingCelsius, humidity }): Point[] => [
      ...(celsius !== undefined || ceilingCelsius !== undefined
        ? [{ zone, what: 'celsius' as Quantity }]
        : []),
      ...(humidity ? [{ zone, what: 'humidity' as Quantity }] : []),
    ],
  )
  const uv: Point[] = plan.light?.uvb?.index ? [{ zone: BASKING_ZONE, what: 'uvIndex' }] : []
  const water = WATER_QUANTITIES.filter((what) => plan.water?.[what]).map((what) => ({
    zone: WATER_ZONE,
    what,
  }))
  return [...zones, ...uv, ...water]
}
