import { Hemisphere } from '@kobrin/core'
import * as z from 'zod/mini'
import { Units } from '../people/session.ts'
import type { Route } from '../route.ts'

/** How a house is called and how it numbers its residents. */
export const KeepHouse = z.strictObject({
  name: z.string().check(z.trim(), z.minLength(1), z.maxLength(120)),
  /** What stands before the digits; "{year}" is the year in which a number is given out. */
  prefix: z
    .string()
    .check(z.trim(), z.maxLength(12), z.regex(/^[\p{L}{}/. _-]*$/u, 'Letters and signs, no digits.')),
  digits: z.int().check(z.minimum(1), z.maximum(6)),
  units: Units,
  /** Left out, it stays as it is. */
  hemisphere: z.optional(Hemisphere),
})
export type KeepHouse = z.infer<typeof KeepHouse>

export const House = z.strictObject({
  ...KeepHouse.shape,
  zone: z.string(),
  /** The place of the next newcomer in the order of numbers. */
  next: z.int(),
})
export type House = z.infer<typeof House>

export const HOUSE_ROUTES = {
  house: {
    method: 'GET',
    url: '/api/house',
    summary: 'How the house is called and numbers its residents',
    access: 'editPlaces',
    answer: House,
  },
  keepHouse: {
    method: 'PUT',
    url: '/api/house',
    summary: 'Write down the house anew',
    access: 'editPlaces',
    body: KeepHouse,
  },
} as const satisfies Record<string, Route>
