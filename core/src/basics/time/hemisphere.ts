import * as z from 'zod/mini'
import { civil } from './civil.ts'

/** Where the seasons of the sheets fall as they say, or half a year on. */
export const Hemisphere = z.enum(['north', 'south'])
export type Hemisphere = z.infer<typeof Hemisphere>

/** How far the clocks of a zone are ahead of UTC at a moment, minutes. */
function aheadOf(zone: string, ms: number): number {
  const { day, minute } = civil(ms, zone)
  return day * 1440 + minute - ms / 60_000
}

/** The hemisphere a house with such clocks is likely in: where they are put forward in January it is the southern one.
 * Zones that never change them say nothing, and are taken for the northern. */
export function usualHemisphere(zone: string, year: number): Hemisphere {
  const [january, july] = [Date.UTC(year, 0, 15), Date.UTC(year, 6, 15)]
  return aheadOf(zone, january) > aheadOf(zone, july) ? 'south' : 'north'
}
