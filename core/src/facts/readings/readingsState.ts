import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'
import { own } from '../subjects/own.ts'
import { Quantity } from './quantity.ts'

export const LastReading = z.strictObject({
  ...Mark.shape,
  zone: z.string(),
  what: Quantity,
  value: z.number(),
})
export type LastReading = z.infer<typeof LastReading>

/** The last reading of each quantity at each zone. */
export const Readings = z.record(z.string(), LastReading)
export type Readings = z.infer<typeof Readings>

export interface Point {
  zone: string
  what: Quantity
}

export function readingKey({ zone, what }: Point): string {
  return `${what} ${zone}`
}

export function lastReading(readings: Readings, point: Point): LastReading | undefined {
  return own(readings, readingKey(point))
}
