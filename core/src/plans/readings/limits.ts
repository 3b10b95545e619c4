import type { Plan, PlanTarget } from '../plan/plan.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { ZoneTarget } from '../sheet/climate.ts'
import { roomLimits, zonesNow } from '../sheet/climate.ts'
import type { Quantity } from '../../facts/readings/quantity.ts'
import type { Point } from '../../facts/readings/readingsState.ts'
import type { Water } from './water.ts'
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

/** An index from half as much again as is wanted burns eyes and skin; where so little is wanted that half as much again
 * would still be shade, from 3 up. */
const UV_HARMS = 1.5
const UV_HARMS_FROM = 3
/** Of the young so much of that harms already. */
const TENDER = 0.75
/** Skin and eyes without dark pigment stand about half of what their kind does, and are wanted in no more than that. A
 * cautious value: who keeps them agrees on "much less" and nobody measured how much. After Baines et al., How much UV-B
 * does my reptile need?, Journal of Zoo and Aquarium Research, 2016, which asks for caution and gives no figure. */
const PALE = 0.5

function ofUltraviolet({ light, next }: Plan, pale: boolean): Limits | null {
  const uvb = light?.uvb
  if (!uvb?.index) return null
  const share = pale ? PALE : 1
  const want: [number, number] = [uvb.index[0] * share, uvb.index[1] * share]
  const harms = (uvb.harmAbove ?? Math.max(uvb.index[1] * UV_HARMS, UV_HARMS_FROM)) * share
  return { want, harmAbove: next ? Math.max(want[1], harms * TENDER) : harms, harmBelow: null }
}

function ofHumidity(target: PlanTarget | undefined): Limits | null {
  if (!target) return null
  const { humidity, humidityHarms } = target
  if (!humidity && !humidityHarms) return null
  return {
    want: humidity ?? null,
    harmAbove: humidityHarms?.[1] ?? null,
    harmBelow: humidityHarms?.[0] ?? null,
  }
}

/** What water does to what breathes in it, where its sheet says nothing of its own, mg/l and pH: ammonia and nitrite
 * from a fraction of a milligram, chlorine at once. The wants are what a tank that works shows. After Wright & Whitaker,
 * Amphibian Medicine and Captive Husbandry, 2001, and Noga, Fish Disease, 2010, the lower of both. */
const ANY_WATER: Readonly<Required<Water>> = {
  ammonia: { want: [0, 0.1], harmAbove: 0.25 },
  nitrite: { want: [0, 0.1], harmAbove: 0.5 },
  nitrate: { want: [0, 40], harmAbove: 100 },
  ph: { want: [6.5, 8], harmBelow: 5.5, harmAbove: 9 },
  chlorine: { want: [0, 0], harmAbove: 0.05 },
}

/** Whether something lives in water, or is in it at this stage. */
export function livesInWater({
  water,
  targets,
}: {
  water?: Plan['water'] | undefined
  targets: readonly Pick<PlanTarget, 'measures'>[]
}): boolean {
  return water !== undefined || targets.some(({ measures }) => measures === 'water')
}

function ofWater(what: keyof Water, plan: Plan): Limits | null {
  const limit = plan.water?.[what] ?? (livesInWater(plan) ? ANY_WATER[what] : undefined)
  if (!limit) return null
  const { want, harmAbove = null, harmBelow = null } = limit
  return { want, harmAbove, harmBelow }
}

/** What a plan says of a quantity at a zone: what is wanted there by day or by night, and what harms somebody who is
 * held so, or is pale. */
export function limitsAt(
  { zone, what }: Point,
  plan: Plan,
  { holds = [], pale = false }: { holds?: readonly HoldKind[]; pale?: boolean } = {},
): Limits | null {
  switch (what) {
    case 'celsius':
      return ofZone(zone, plan, holds)
    case 'humidity':
      return ofHumidity(zonesNow(plan.targets, holds).find((one) => one.zone === zone))
    case 'uvIndex':
      return ofUltraviolet(plan, pale)
    default:
      return ofWater(what, plan)
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
    ({ zone, celsius, ceilingCelsius, humidity, humidityHarms }): Point[] => [
      ...(celsius !== undefined || ceilingCelsius !== undefined
        ? [{ zone, what: 'celsius' as Quantity }]
        : []),
      ...(humidity || humidityHarms ? [{ zone, what: 'humidity' as Quantity }] : []),
    ],
  )
  const uv: Point[] = plan.light?.uvb?.index ? [{ zone: BASKING_ZONE, what: 'uvIndex' }] : []
  const tested = WATER_QUANTITIES.filter((what) => ofWater(what, plan) !== null)
  const water = tested.map((what) => ({ zone: WATER_ZONE, what }))
  return [...zones, ...uv, ...water]
}
