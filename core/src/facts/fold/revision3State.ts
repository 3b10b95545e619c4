import type { FeedingHabit, Meal } from '../feeding/feedingState.ts'
import type { Offer } from '../feeding/feedingState.ts'
import type { GrowthState } from '../growth/growthState.ts'
import type { HoldKind } from '../holds/holdKind.ts'
import type { LotState } from '../lots/lotState.ts'
import type { PlaceState } from '../places/placeState.ts'
import type { Ended } from '../residents/ended.ts'
import type { ResidentState } from '../residents/residentState.ts'
import type { Placement } from '../residents/stayState.ts'
import type { SkinLeft, SkinState } from '../skin/skinState.ts'
import type { Mark } from '../subjects/mark.ts'

// What folds looked like up to their third revision: as they lie in databases and on tablets that have not been
// folded again, and as pages of that time read them. It never changes any more.

type OldRow = { refusals: number; refusedFrom?: number | undefined }

export interface OldLine extends OldRow {
  lately: Meal[]
  lastOffer: Omit<Offer, 'found' | 'supplements' | 'apart'> | null
  undecided?: OldRow
  meals: number
  portion: { grams: number; cleared: number; leftFraction: number | null } | null
}

type Said = { since: number; until: number | null; reason: string; by: string; uid: string }

export interface OldResident extends Pick<
  ResidentState,
  'cursor' | 'facts' | 'register' | 'identity' | 'done' | 'looking' | 'health'
> {
  stay: {
    expectedOn: number | null
    arrivedOn: number | null
    place: Placement | null
    ended: Ended | null
  }
  feeding: {
    lines: Record<string, OldLine>
    today: (Mark & { duty: string })[]
    items: Record<string, { days: number[]; taken: number; refusedInRow: number }>
    habit?: FeedingHabit | undefined
    supplements: Record<string, { day: number; meals: number }>
    bowls: Record<string, { day: number; found: 'empty' | 'leftovers' | 'full'; refilled: boolean }>
  }
  skin: {
    sign: SkinState['sign']
    sheds: number[]
    retained: SkinLeft[]
    limbsLost?: { count: number; day: number } | undefined
  }
  growth: Pick<GrowthState, 'weights' | 'sizes'>
  holds: {
    set: Partial<Record<HoldKind, Said>>
    lifted: ResidentState['holds']['lifted']
    past?: { hold: HoldKind; since: number; until: number }[] | undefined
  }
  count: {
    last: { day: number; count: number } | null
    missing: number
    shortfalls: (Mark & { expected: number; found: number })[]
  }
  note: (Mark & { text: string }) | null
}

export type OldPlace = Omit<PlaceState, 'done'>
export type OldLot = Omit<LotState, 'given'>

/** A fold of the third revision or before. */
export type OldFold = object
