import type { Day } from '@kobrin/core'

/** What goes wrong with an animal, of which its keepers only see the signs. */
export const TROUBLES = [
  'wasting',
  'overfed',
  'stunted',
  'offFood',
  'stuckInSkin',
  'signStays',
  'gone',
] as const
export type TroubleKind = (typeof TROUBLES)[number]

/** What looks like trouble and is none. */
export const WAYS = ['lays', 'seasonFast', 'moves'] as const
export type WayKind = (typeof WAYS)[number]

export interface Trouble {
  kind: TroubleKind | WayKind
  from: Day
  /** Lost or gained in a week, as a share, where that is the trouble. */
  aWeek: number
}
