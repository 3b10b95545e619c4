import * as z from 'zod/mini'
import type { HoldKind as Hold } from '../../facts/holds/holdKind.ts'
import { HoldKind } from '../../facts/holds/holdKind.ts'

const range = z.tuple([z.number(), z.number()])

/** What a probe in a zone reads. A warm surface says nothing of the air an animal breathes and cannot
 * leave. */
export const Measured = z.enum(['air', 'surface', 'floor', 'water', 'nest'])
export type Measured = z.infer<typeof Measured>

/** Targets of one zone, °C and % relative humidity. */
export const ZoneTarget = z.strictObject({
  zone: z.string().check(z.minLength(1)),
  /** Sheets of earlier times do not say: what they ask for is then held against the air. */
  measures: z.optional(Measured),
  celsius: z.optional(range),
  nightCelsius: z.optional(range),
  humidity: z.optional(range),
  /** Above this it is harmed. */
  ceilingCelsius: z.optional(z.number()),
  /** Below this it is harmed. */
  neverBelowCelsius: z.optional(z.number()),
  /** Below the first it dries out, above the second it rots or drowns in its own air, % relative humidity. */
  humidityHarms: z.optional(z.tuple([z.number().check(z.minimum(0)), z.number().check(z.maximum(101))])),
  /** Days from one reading to the next that the walk asks for. */
  readEvery: z.optional(z.number().check(z.positive())),
  /** Only while a resident is held so; then the other zones do not count. */
  during: z.optional(HoldKind),
})
export type ZoneTarget = z.infer<typeof ZoneTarget>

/** The zones that count while a resident is held so: those of its rest, or else those of its life. */
export function zonesNow<T extends ZoneTarget>(targets: readonly T[], holds: readonly Hold[] = []): T[] {
  const resting = targets.filter(({ during }) => during !== undefined && holds.includes(during))
  return resting.length > 0 ? resting : targets.filter(({ during }) => during === undefined)
}

/** What harms it wherever it goes in its enclosure, °C: a surface can be left, what surrounds it cannot.
 * Null where a sheet says nothing. */
export interface RoomLimits {
  /** The lowest ceiling of all that surrounds it. */
  ceiling: number | null
  /** The highest of what it must never fall below. */
  neverBelow: number | null
}

export function roomLimits(targets: readonly ZoneTarget[]): RoomLimits {
  const around = targets.filter(({ measures }) => measures !== 'surface')
  const ceilings = around.flatMap(({ ceilingCelsius }) => ceilingCelsius ?? [])
  const floors = around.flatMap(({ neverBelowCelsius }) => neverBelowCelsius ?? [])
  return {
    ceiling: ceilings.length > 0 ? Math.min(...ceilings) : null,
    neverBelow: floors.length > 0 ? Math.max(...floors) : null,
  }
}
