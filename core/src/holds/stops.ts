import type { Duty } from '../plan/duty.ts'
import type { Effect } from '../plan/effect.ts'
import type { HoldKind } from './holdKind.ts'

/** What a hold keeps from the animal, whatever the duty that brings it is called: a bath is water, but it
 * wakes one that rests. Weighing goes on through a rest: it is how a rest that goes wrong is found. */
const KEEPS_FROM: Readonly<Record<HoldKind, readonly Effect[]>> = {
  inBlue: [],
  premolt: ['handling'],
  sealedIn: ['handling', 'bathing', 'opening', 'feeding'],
  soft: ['handling', 'feeding'],
  digesting: ['handling', 'bathing'],
  settling: ['handling'],
  winterRest: ['bathing', 'feeding'],
  fasting: ['feeding'],
  founding: ['handling', 'bathing', 'opening'],
  gravid: [],
  incubating: ['handling', 'bathing', 'opening'],
  vetOrder: [],
  leaveBe: ['handling', 'bathing', 'opening', 'feeding'],
}

/** Whether a duty is left undone under a hold: because of its kind, or of what it does to the animal. */
export function isStopped(
  { does, effects = [], despite }: Pick<Duty, 'does' | 'effects' | 'despite'>,
  { hold, suppresses }: { hold: HoldKind; suppresses: readonly Duty['does'][] },
): boolean {
  if (despite?.includes(hold)) return false
  return suppresses.includes(does) || effects.some((effect) => KEEPS_FROM[hold].includes(effect))
}
