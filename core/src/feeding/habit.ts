import type { HoldKind } from '../holds/holdKind.ts'
import type { ResidentState } from '../residents/residentState.ts'
import { holdOfSign } from '../skin/holdOfSign.ts'
import type { FeedingHabit } from './feedingState.ts'

/** What an offer of some months ago still counts: of fifty offers back, a third. */
const FADES = 0.98

/** What keeps an animal from eating whatever its appetite: refusals then say nothing of its habit. */
const NOT_EATING: readonly HoldKind[] = [
  'winterRest',
  'fasting',
  'gravid',
  'incubating',
  'settling',
  'vetOrder',
  'inBlue',
  'premolt',
  'sealedIn',
  'soft',
]

function isKeptFromEating({ skin, holds }: Pick<ResidentState, 'skin' | 'holds'>): boolean {
  return (
    (skin.sign !== null && holdOfSign(skin.sign.stage) !== null) || NOT_EATING.some((kind) => holds.set[kind])
  )
}

/** The habit after one more offer, taken or not. */
export function habitAfter(
  state: Pick<ResidentState, 'feeding' | 'skin' | 'holds'>,
  taken: boolean,
): FeedingHabit | undefined {
  const { habit } = state.feeding
  if (!taken && isKeptFromEating(state)) return habit
  const { offers, taken: before } = habit ?? { offers: 0, taken: 0 }
  return { offers: offers * FADES + 1, taken: before * FADES + (taken ? 1 : 0) }
}
