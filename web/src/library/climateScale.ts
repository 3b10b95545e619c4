import type { ZoneTarget } from '@kobrin/core'

/** Where something lies on the scale, in parts of its width. */
export interface Stretch {
  from: number
  to: number
}

/** A zone as it is drawn: what harms at either end, and what is wanted by day and by night. */
export interface ZoneRow {
  target: ZoneTarget
  harmsBelow: Stretch | null
  harmsAbove: Stretch | null
  day: Stretch | null
  night: Stretch | null
}

export interface ClimateScale {
  lowest: number
  highest: number
  /** Every fifth degree, and where it lies. */
  ticks: { celsius: number; at: number }[]
  rows: ZoneRow[]
}

const STEP = 5

function valuesOf({ celsius, nightCelsius, ceilingCelsius, neverBelowCelsius }: ZoneTarget): number[] {
  return [
    ...(celsius ?? []),
    ...(nightCelsius ?? []),
    ...[ceilingCelsius, neverBelowCelsius].filter((value) => value !== undefined),
  ]
}

/** One scale for all zones of a sheet that speak of temperature, so that they can be compared by eye. Null where
 * none does. */
export function climateScale(targets: readonly ZoneTarget[]): ClimateScale | null {
  const zones = targets.filter((target) => valuesOf(target).length > 0)
  const values = zones.flatMap(valuesOf)
  if (values.length === 0) return null
  const lowest = Math.floor((Math.min(...values) - 1) / STEP) * STEP
  const highest = Math.ceil((Math.max(...values) + 1) / STEP) * STEP
  const at = (celsius: number) => (celsius - lowest) / (highest - lowest)
  const stretch = (from: number, to: number): Stretch => ({ from: at(from), to: at(to) })
  const count = (highest - lowest) / STEP + 1
  return {
    lowest,
    highest,
    ticks: Array.from({ length: count }, (_, index) => lowest + index * STEP).map((celsius) => ({
      celsius,
      at: at(celsius),
    })),
    rows: zones.map((target) => {
      const { celsius, nightCelsius, ceilingCelsius, neverBelowCelsius } = target
      return {
        target,
        harmsBelow: neverBelowCelsius === undefined ? null : stretch(lowest, neverBelowCelsius),
        harmsAbove: ceilingCelsius === undefined ? null : stretch(ceilingCelsius, highest),
        day: celsius ? stretch(...celsius) : null,
        night: nightCelsius ? stretch(...nightCelsius) : null,
      }
    }),
  }
}
