import * as z from 'zod/mini'

/** By which marks of a body its condition is scored from 1 to 5: where fat and hunger show differs with the body, and not
 * only with the group. A gecko without a tail has none to look at. */
export const BodyScale = z.enum([
  'spine',
  'fatTail',
  'hips',
  'slender',
  'shell',
  'limbs',
  'waist',
  'trunk',
  'abdomen',
  'plates',
  'belly',
])
export type BodyScale = z.infer<typeof BodyScale>
