import * as z from 'zod/mini'
import { Ended } from './ended.ts'
import { KnownTo } from './register.ts'

const day = z.number()

/** A place somebody lives in, or is to live in. */
export const Placement = z.strictObject({ enclosure: z.string(), since: day, at: z.string() })
export type Placement = z.infer<typeof Placement>

/** Some of a colony that went, how, and what is still open of it. */
export const Going = z.strictObject({
  ...Ended.shape,
  /** How many. */
  count: z.number(),
  /** The day on which those that were lent came back. */
  returnedOn: z.optional(day),
})
export type Going = z.infer<typeof Going>

/** A stay that is over. */
export const PastStay = z.strictObject({ arrivedOn: z.nullable(day), ended: Ended })
export type PastStay = z.infer<typeof PastStay>

/** Where a resident is, since when, and how its stay ended. */
export const StayState = z.strictObject({
  /** Where it is to live, while it is on its way and not here yet. */
  expected: z.nullable(Placement),
  /** The day from which it is cared for on this record. */
  arrivedOn: z.nullable(day),
  /** Of one that was here before its record began: the day it came, null where nobody knows. */
  cameOn: z.optional(z.nullable(day)),
  /** How sure that day is, where it is not known to the day. */
  cameTo: z.optional(KnownTo),
  place: z.nullable(Placement),
  ended: z.nullable(Ended),
  /** Stays before this one, oldest first. */
  before: z.array(PastStay),
  /** Some of it that went, oldest first. */
  goings: z.array(Going),
})
export type StayState = z.infer<typeof StayState>

export function nowhere(): StayState {
  return { expected: null, arrivedOn: null, place: null, ended: null, before: [], goings: [] }
}

/** The day it came to this house, whether or not it was on record then; null where nobody knows. */
export function cameOn({ cameOn: before, arrivedOn }: StayState): number | null {
  return before === undefined ? arrivedOn : before
}

/** What it has to settle in from: its coming or its last move; null of one that was here before its record began, since
 * nobody knows when. */
export function broughtHere(stay: StayState): { fact: 'arrived' | 'moved'; day: number; at: string } | null {
  const { place, arrivedOn } = stay
  if (!place) return null
  if (place.since !== arrivedOn) return { fact: 'moved', day: place.since, at: place.at }
  const came = cameOn(stay)
  return came === null ? null : { fact: 'arrived', day: came, at: place.at }
}

/** The place it lives in, or that is kept for it. */
export function placeOf({ stay: { place, expected } }: { stay: StayState }): Placement | null {
  return place ?? expected
}
