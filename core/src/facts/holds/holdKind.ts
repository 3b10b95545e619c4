import * as z from 'zod/mini'

/** Reasons to leave a duty undone for now. */
export const HoldKind = z.enum([
  'inBlue',
  'premolt',
  'sealedIn',
  'soft',
  'digesting',
  'settling',
  'winterRest',
  'fasting',
  'founding',
  'gravid',
  'incubating',
  'vetOrder',
  'leaveBe',
])
export type HoldKind = z.infer<typeof HoldKind>
