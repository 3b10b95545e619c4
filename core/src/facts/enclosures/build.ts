import * as z from 'zod/mini'
import { Day } from '../../basics/time/day.ts'

const mm = z.number().check(z.positive(), z.maximum(20_000))
const name = z.string().check(z.trim(), z.minLength(1), z.maxLength(80))

export const FloorLayer = z.strictObject({ material: name, mm })
export const Furniture = z.strictObject({
  what: z.enum(['hide', 'dampHide', 'climbing', 'perch', 'bowl', 'plant', 'other']),
  note: z.optional(z.string().check(z.trim(), z.maxLength(120))),
  /** Of a perch: free height below it. */
  freeBelowMm: z.optional(mm),
})
export const Heater = z.strictObject({
  what: name,
  watts: z.optional(z.number().check(z.positive(), z.maximum(2000))),
  thermostat: z.boolean(),
  probeAt: z.optional(z.string().check(z.trim(), z.maxLength(80))),
})
export const Lamp = z.strictObject({
  what: z.enum(['uvb', 'day', 'basking']),
  lengthMm: z.optional(mm),
  /** From the lamp to the back of the animal where it basks. */
  distanceMm: z.optional(mm),
  /** Of a lamp that warms: a cage around it, and a thermostat or dimmer that turns it down. */
  guard: z.optional(z.boolean()),
  thermostat: z.optional(z.boolean()),
  fittedOn: z.optional(Day),
})
export const Part = z.strictObject({
  what: name,
  defect: z.optional(z.string().check(z.trim(), z.maxLength(200))),
  since: z.optional(Day),
  replaceBy: z.optional(Day),
})

/** What stands in an enclosure and how it is fitted out. */
export const Build = z.strictObject({
  layers: z._default(z.array(FloorLayer).check(z.maxLength(8)), []),
  /** How much deeper the floor is at one end. */
  slopeMm: z.optional(z.number().check(z.nonnegative(), z.maximum(5000))),
  dampEnd: z.optional(z.enum(['left', 'right', 'front', 'back'])),
  furniture: z._default(z.array(Furniture).check(z.maxLength(40)), []),
  heaters: z._default(z.array(Heater).check(z.maxLength(8)), []),
  lamps: z._default(z.array(Lamp).check(z.maxLength(8)), []),
  lock: z.optional(z.boolean()),
  /** Widest opening of mesh or vents. */
  meshMm: z.optional(z.number().check(z.positive(), z.maximum(100))),
  vents: z.optional(z.string().check(z.trim(), z.maxLength(120))),
  crew: z._default(z.array(name).check(z.maxLength(6)), []),
  parts: z._default(z.array(Part).check(z.maxLength(20)), []),
})
export type Build = z.infer<typeof Build>
