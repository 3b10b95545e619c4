import * as z from 'zod/mini'

/** What an option of a school needs of the rest of the plan. Where that is not so, the first option that can
 * stand takes its place. */
export const Needs = z.strictObject({
  /** Only where ultraviolet is given, or only where it is not. */
  ultraviolet: z.boolean(),
})
export type Needs = z.infer<typeof Needs>

/** Whether a plan with or without ultraviolet has what an option needs. */
export function hasNeeds(needs: Needs | undefined, { ultraviolet }: Needs): boolean {
  return needs === undefined || needs.ultraviolet === ultraviolet
}
