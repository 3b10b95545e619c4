import { z } from 'zod'
import { BodyPart } from '../growth/growthState.ts'
import { hoursRange, positiveRange, range } from './range.ts'

/** At least so many times a measured part of the animal. */
const times = z.strictObject({
  part: BodyPart,
  length: z.number().positive().optional(),
  depth: z.number().positive().optional(),
  height: z.number().positive().optional(),
})

/** What an enclosure has to offer at one stage. Millimetres inside, unless a field says otherwise. */
export const Housing = z.strictObject({
  lengthMm: z.number().positive().optional(),
  depthMm: z.number().positive().optional(),
  heightMm: z.number().positive().optional(),
  /** Minima that grow with the animal; the larger of both counts. */
  times: times.optional(),
  /** Floor each animal of a group needs, cm². */
  floorPerAnimalCm2: z.number().positive().optional(),
  /** Depth of floor to dig in, [enough, more than is of use]. */
  floorDepthMm: range.optional(),
  /** Water each animal of a group needs, or air each of those that climb. */
  litresPerAnimal: z.number().positive().optional(),
  /** Free height below the perch it hangs from to molt, times a measured part as it will be after the molt:
   * `grows` is how many times longer that is, where it still grows. */
  freeBelowPerch: z
    .strictObject({ part: BodyPart, times: positiveRange, grows: z.number().min(1).max(2).optional() })
    .optional(),
  /** What it may climb to above its floor: a fall from higher breaks a heavy body. The smaller of both. */
  fall: z
    .strictObject({
      mm: z.number().positive(),
      part: BodyPart.optional(),
      times: z.number().positive().optional(),
    })
    .optional(),
  /** A founding colony or hatchling does not find its food in more than this. */
  notLarger: z
    .strictObject({ litres: z.number().positive(), untilCount: z.number().positive().optional() })
    .optional(),
  hides: z.int().positive().optional(),
  lock: z.boolean().optional(),
  /** Openings of mesh and vents no wider than this. */
  meshMm: z.number().positive().optional(),
  /** Branches, cork, sticks or a backdrop to climb. */
  climbing: z.boolean().optional(),
  bowl: z.boolean().optional(),
  crew: z.boolean().optional().describe('Springtails or isopods that clean up.'),
})
export type Housing = z.infer<typeof Housing>

/** Day length and ultraviolet. */
export const Light = z.strictObject({
  /** Hours of light a day, summer. */
  hours: hoursRange.optional(),
  winterHours: hoursRange.optional(),
  uvb: z
    .strictObject({
      /** Length of the tube over the length of the enclosure. */
      share: z.tuple([z.number().positive(), z.number().max(1)]),
      /** From the tube to the back of the basking animal. */
      distanceMm: positiveRange,
      /** UV index where it basks. */
      index: range.optional(),
      /** Days from one reading to the next that the walk asks for. */
      readEvery: z.number().positive().optional(),
    })
    .optional(),
})
export type Light = z.infer<typeof Light>
