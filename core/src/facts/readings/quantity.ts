import * as z from 'zod/mini'

/** What can be read at a point of an enclosure: °C, % relative humidity, the UV index, and in water mg/l of
 * ammonia, nitrite, nitrate and chlorine, and pH. */
export const Quantity = z.enum([
  'celsius',
  'humidity',
  'uvIndex',
  'ammonia',
  'nitrite',
  'nitrate',
  'ph',
  'chlorine',
])
export type Quantity = z.infer<typeof Quantity>

/** Between which a reading of an enclosure lies, no matter what lives there: beyond is a slip, or another unit. */
export const SCALES: Readonly<Record<Quantity, readonly [number, number]>> = {
  celsius: [-5, 60],
  humidity: [5, 100],
  uvIndex: [0, 14],
  ammonia: [0, 20],
  nitrite: [0, 20],
  nitrate: [0, 500],
  ph: [3, 11],
  chlorine: [0, 10],
}
