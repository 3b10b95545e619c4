import type { Duty, DutyKind } from '../../plans/plan/duty.ts'
import type { Effect } from '../../plans/plan/effect.ts'
import { effectsOf } from '../../plans/plan/effectsOf.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'

/** What a hold keeps from the animal, whatever the duty that brings it is called: a bath is water, but it
 * wakes one that rests. */
const KEEPS_FROM: Readonly<Record<HoldKind, readonly Effect[]>> = {
  inBlue: ['handling'],
  premolt: ['handling'],
  sealedIn: ['handling', 'bathing', 'opening', 'feeding', 'lighting'],
  soft: ['handling', 'feeding'],
  digesting: ['handling', 'bathing'],
  settling: ['handling'],
  winterRest: ['handling', 'bathing', 'feeding', 'lighting'],
  fasting: ['feeding'],
  founding: ['handling', 'bathing', 'opening', 'lighting'],
  // A mother with young on her back or eggs under her eats them when her place is opened.
  gravid: ['handling', 'opening'],
  incubating: ['handling', 'bathing', 'opening', 'lighting'],
  vetOrder: [],
  leaveBe: ['handling', 'bathing', 'opening', 'feeding', 'lighting'],
}

/** What goes on although it touches the animal: weighing is how a rest that goes wrong is found. */
const GOES_ON: Readonly<Partial<Record<HoldKind, readonly DutyKind[]>>> = { winterRest: ['weigh'] }

/** Whether a duty is left undone under a hold: because of its kind, or of what it does to the animal. */
export function isStopped(
  duty: Pick<Duty, 'does' | 'effects' | 'despite'>,
  { hold, suppresses }: { hold: HoldKind; suppresses: readonly DutyKind[] },
): boolean {
  if (duty.despite?.includes(hold)) return false
  if (suppresses.includes(duty.does)) return true
  if (GOES_ON[hold]?.includes(duty.does)) return false
  return effectsOf(duty).some((effect) => KEEPS_FROM[hold].includes(effect))
}
