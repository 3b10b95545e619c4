import * as z from 'zod/mini'

/** For how many days a reported observation stays in front of the next shifts, by how grave it is. */
export const ObservationDays = z.strictObject({
  info: z.int().check(z.positive()),
  watch: z.int().check(z.positive()),
  act: z.int().check(z.positive()),
  urgent: z.int().check(z.positive()),
})
export type ObservationDays = z.infer<typeof ObservationDays>

/** How long what was found stands before it is a worry or says nothing any more. Values of the care sheet;
 * those given here are what a sheet that says nothing asks for. */
export const Standing = z.strictObject({
  /** Days after the shed or molt from which skin still on the animal has to be acted on. */
  retainedToAct: z._default(z.int().check(z.nonnegative()), 5),
  /** Days after which a body-condition score says nothing about today. */
  scoreDays: z._default(z.int().check(z.positive()), 42),
  observationDays: z._default(ObservationDays, { info: 1, watch: 3, act: 14, urgent: 30 }),
})
export type Standing = z.infer<typeof Standing>
