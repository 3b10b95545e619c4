import { z } from 'zod'
import { Day } from '../time/day.ts'

const mm = z.number().positive().max(20_000)
const name = z.string().trim().min(1).max(80)

export const FloorLayer = z.strictObject({ material: name, mm })
export const Furniture = z.strictObject({
  what: z.enum(['hide', 'dampHide', 'climbing', 'perch', 'bowl', 'plant', 'other']),
  note: z.string().trim().max(120).optional(),
  /** Of a perch: free height below it. */
  freeBelowMm: mm.optional(),
})
export const Heater = z.strictObject({
  what: name,
  watts: z.number().positive().max(2000).optional(),
  thermostat: z.boolean(),
  probeAt: z.string().trim().max(80).optional(),
})
export const Lamp = z.strictObject({
  what: z.enum(['uvb', 'day', 'basking']),
  lengthMm: mm.optional(),
  /** From the lamp to the back of the animal where it basks. */
  distanceMm: mm.optional(),
  fittedOn: Day.optional(),
})
export const Part = z.strictObject({
  what: name,
  defect: z.string().trim().max(200).optional(),
  since: Day.optional(),
  replaceBy: Day.optional(),
})

/** What stands in an enclosure and how it is fitted out. */
export const Build = z.strictObject({
  layers: z.array(FloorLayer).max(8).default([]),
  /** How much deeper the floor is at one end. */
  slopeMm: z.number().nonnegative().max(5000).optional(),
  dampEnd: z.enum(['left', 'right', 'front', 'back']).optional(),
  furniture: z.array(Furniture).max(40).default([]),
  heaters: z.array(Heater).max(8).default([]),
  lamps: z.array(Lamp).max(8).default([]),
  lock: z.boolean().optional(),
  /** Widest opening of mesh or vents. */
  meshMm: z.number().positive().max(100).optional(),
  vents: z.string().trim().max(120).optional(),
  crew: z.array(name).max(6).default([]),
  parts: z.array(Part).max(20).default([]),
})
export type Build = z.infer<typeof Build>
