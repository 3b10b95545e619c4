import * as z from 'zod/mini'

/** Where the seasons of the sheets fall as they say, or half a year on. */
export const Hemisphere = z.enum(['north', 'south'])
export type Hemisphere = z.infer<typeof Hemisphere>

/** How far the clocks of a zone are ahead of UTC at a moment, minutes. */
function aheadOf(zone: string, at: Date): number {
  const parts = new Intl.DateTimeFormat('en', { timeZone: zone, timeZoneName: 'longOffset' }).formatToParts(
    at,
  )
  const told = parts.find(({ type }) => type === 'timeZoneName')?.value ?? ''
  const [, sign = '+', hours = '0', minutes = '0'] = /([+-])(\d+):?(\d*)/.exec(told) ?? []
  return (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes || 0))
}

/** The hemisphere a house with such clocks is likely in: where they are put forward in January it is the southern one.
 * Zones that never change them say nothing, and are taken for the northern. */
export function usualHemisphere(zone: string, year: number): Hemisphere {
  const [january, july] = [new Date(Date.UTC(year, 0, 15)), new Date(Date.UTC(year, 6, 15))]
  return aheadOf(zone, january) > aheadOf(zone, july) ? 'south' : 'north'
}
