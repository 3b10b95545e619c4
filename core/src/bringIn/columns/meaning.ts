import * as z from 'zod/mini'
import { Day } from '../../basics/time/day.ts'
import { BodyPart } from '../../facts/growth/growthState.ts'

/** What a column of a list somebody kept can say of each row. */
export const MEANINGS = [
  'ignore',
  'number',
  'name',
  'species',
  'stage',
  'sex',
  'place',
  'count',
  'hatched',
  'arrived',
  'origin',
  'chip',
  'marks',
  'on',
  'weight',
  'size',
  'food',
  'amount',
  'outcome',
  'shed',
  'note',
] as const
export type Meaning = (typeof MEANINGS)[number]

export const MASS_UNITS = { g: 1, kg: 1000, mg: 0.001, oz: 28.349523125, lb: 453.59237 } as const
export const LENGTH_UNITS = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 } as const
export const MassUnit = z.enum(Object.keys(MASS_UNITS) as (keyof typeof MASS_UNITS)[])
export type MassUnit = keyof typeof MASS_UNITS
export const LengthUnit = z.enum(Object.keys(LENGTH_UNITS) as (keyof typeof LENGTH_UNITS)[])
export type LengthUnit = keyof typeof LENGTH_UNITS

/** In which order a date written in digits is meant. */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const
export type DateOrder = (typeof DATE_ORDERS)[number]

/** What a column means, and how what stands in it is to be read. */
export const Column = z.object({
  header: z.string(),
  meaning: z.enum(MEANINGS),
  mass: z.optional(MassUnit),
  length: z.optional(LengthUnit),
  part: z.optional(BodyPart),
  /** Null where nobody can tell 3 April from 4 March: somebody has to say. */
  order: z.optional(z.nullable(z.enum(DATE_ORDERS))),
  /** Which sign stands before decimals, for the cells that do not tell by themselves; null: somebody has to say. */
  decimal: z.optional(z.nullable(z.enum(['.', ',']))),
  /** The day in its head: all that stands below is of that day. */
  of: z.optional(z.nullable(Day)),
  /** What is left empty is the same as above. */
  down: z.optional(z.boolean()),
})
export type Column = z.infer<typeof Column>

/** Why a column was taken for what it is. */
export type GuessReason =
  | { code: 'header'; word: string }
  | { code: 'unit'; unit: string; from: 'header' | 'cells' }
  | { code: 'unitAssumed'; unit: string }
  | { code: 'dateOrder'; order: DateOrder; because: string }
  | { code: 'dateUnsure'; example: string }
  | { code: 'decimal'; sign: '.' | ','; example: string }
  | { code: 'decimalUnsure'; example: string }
  | { code: 'dayInHead'; day: Day }
  | { code: 'takenAlready'; word: string }
  /** Its cells look like that, whatever heads them. */
  | { code: 'cellsLike'; example: string }
  | { code: 'unknown' }

export interface Guess {
  column: Column
  because: GuessReason[]
}

export const PARTS: readonly BodyPart[] = BodyPart.options
