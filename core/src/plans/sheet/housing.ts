import * as z from 'zod/mini'
import { BodyPart } from '../../facts/growth/growthState.ts'
import { hoursRange, positiveRange, range } from '../../basics/range.ts'

/** At least so many times a measured part of the animal. */
const times = z.strictObject({
  part: BodyPart,
  length: z.optional(z.number().check(z.positive())),
  depth: z.optional(z.number().check(z.positive())),
  height: z.optional(z.number().check(z.positive())),
})

/** What an enclosure has to offer at one stage. Millimetres inside, unless a field says otherwise. */
export const Housing = z.strictObject({
  lengthMm: z.optional(z.number().check(z.positive())),
  depthMm: z.optional(z.number().check(z.positive())),
  heightMm: z.optional(z.number().check(z.positive())),
  /** Minima that grow with the animal; the larger of both counts. */
  times: z.optional(times),
  /** Floor each animal of a group needs, cm². */
  floorPerAnimalCm2: z.optional(z.number().check(z.positive())),
  /** Depth of floor to dig in, [enough, more than is of use]. */
  floorDepthMm: z.optional(range),
  /** Water each animal of a group needs, or air each of those that climb. */
  litresPerAnimal: z.optional(z.number().check(z.positive())),
  /** Of those kept in numbers: how many live well, and from how many on they are crowded, by the litre and by 100 cm² of
   * floor; the larger crowd counts. And how few a start of them takes. */
  numbers: z.optional(
    z.strictObject({
      perLitre: positiveRange,
      per100Cm2: positiveRange,
      start: z.int().check(z.positive()),
    }),
  ),
  /** Free height below the perch it hangs from to molt, times a measured part as it will be after the molt:
   * `grows` is how many times longer that is, where it still grows. */
  freeBelowPerch: z.optional(
    z.strictObject({
      part: BodyPart,
      times: positiveRange,
      grows: z.optional(z.number().check(z.minimum(1), z.maximum(2))),
    }),
  ),
  /** What it may climb to above its floor: a fall from higher breaks a heavy body. The smaller of both. */
  fall: z.optional(
    z.strictObject({
      mm: z.number().check(z.positive()),
      part: z.optional(BodyPart),
      times: z.optional(z.number().check(z.positive())),
    }),
  ),
  /** A founding colony or hatchling does not find its food in more than this. */
  notLarger: z.optional(
    z.strictObject({
      litres: z.number().check(z.positive()),
      untilCount: z.optional(z.number().check(z.positive())),
    }),
  ),
  hides: z.optional(z.int().check(z.positive())),
  lock: z.optional(z.boolean()),
  /** Openings of mesh and vents no wider than this. */
  meshMm: z.optional(z.number().check(z.positive())),
  /** Branches, cork, sticks or a backdrop to climb. */
  climbing: z.optional(z.boolean()),
  bowl: z.optional(z.boolean()),
  crew: z.optional(z.boolean()).check(z.describe('Springtails or isopods that clean up.')),
})
export type Housing = z.infer<typeof Housing>

/** Day length and ultraviolet. */
export const Light = z.strictObject({
  /** Hours of light a day, summer. */
  hours: z.optional(hoursRange),
  winterHours: z.optional(hoursRange),
  uvb: z.optional(
    z.strictObject({
      /** Length of the tube over the length of the enclosure. */
      share: z.tuple([z.number().check(z.positive()), z.number().check(z.maximum(1))]),
      /** From the tube to the back of the basking animal. */
      distanceMm: positiveRange,
      /** UV index where it basks. */
      index: z.optional(range),
      /** From here on it burns eyes and skin, UV index. Where a sheet does not say: half as much again as is wanted,
       * and never under 3. */
      harmAbove: z.optional(z.number().check(z.positive())),
      /** Days from one reading to the next that the walk asks for. */
      readEvery: z.optional(z.number().check(z.positive())),
    }),
  ),
})
export type Light = z.infer<typeof Light>
