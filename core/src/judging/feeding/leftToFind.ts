import type { FeedingState, Offer } from '../../facts/feeding/feedingState.ts'
import { lastOffered } from '../../facts/feeding/feedLine.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { holdOfSign } from '../../facts/skin/holdOfSign.ts'
import { own } from '../../facts/subjects/own.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Duty, Food } from '../../plans/plan/duty.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Hold } from '../holds/holdsOn.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Task } from '../walk/task.ts'

const TAKE_OUT = 'takeOut:'
const HOUR_MS = 3_600_000
/** What may lie so long, in hours, is taken out on the round of the next day. */
const OVERNIGHT = 8
/** A look at the bowl speaks of what was left to find for so many days: later nobody can say what became of it. */
const ASKED_DAYS = 3
/** Under these it cannot get away from what bites. */
const DEFENCELESS: readonly HoldKind[] = ['premolt', 'sealedIn', 'soft', 'inBlue']

interface Left {
  duty: Duty
  offer: Offer
  food: Food
  /** Hours it may lie there. */
  hours: number
}

/** Food of a feeding duty that was left to find, may not stay, and that nobody looked for since. */
function lyingThere(duty: Duty, { lines }: FeedingState): Left | null {
  const offer = lastOffered(own(lines, duty.id))
  if (offer?.outcome !== 'left' || offer.found) return null
  const food = duty.foods?.find(({ item }) => item === offer.item)
  return food?.outAfterHours === undefined ? null : { duty, offer, food, hours: food.outAfterHours }
}

/** Why it cannot get away from what bites; null where it can. */
function defenceless(
  { skin: { sign } }: Pick<ResidentState, 'skin'>,
  holds: readonly Hold[],
): Reason[] | null {
  const of = sign && holdOfSign(sign.stage)
  if (sign && of && DEFENCELESS.includes(of))
    return [{ fact: 'sign', stage: sign.stage, day: sign.day, by: sign.by }]
  return holds.find(({ hold }) => DEFENCELESS.includes(hold))?.because ?? null
}

function takeOutOf({ duty, offer, food, hours }: Left, danger: Reason[] | null, day: Day): Task {
  const dueOn = danger || hours < OVERNIGHT ? offer.day : offer.day + 1
  const lies = danger ? 0 : hours
  const because: Reason[] = [
    { fact: 'leftToFind', item: offer.item, at: offer.at, by: offer.by },
    ...(danger ?? []),
    { rule: 'takeOut', item: offer.item, hours: lies, bites: food.bites ?? false },
    { source: duty.source },
  ]
  return {
    duty: {
      id: `${TAKE_OUT}${duty.id}`,
      does: 'look',
      cadence: { type: 'once', day: dueOn },
      people: 1,
      minutes: 1,
      source: duty.source,
    },
    status: day < dueOn ? 'notYet' : day > dueOn ? 'late' : 'due',
    dueOn,
    daysOver: Math.max(0, day - dueOn),
    lateness: Math.max(0, day - dueOn),
    leftToFind: {
      duty: duty.id,
      item: offer.item,
      at: offer.at,
      outBy: new Date(Date.parse(offer.at) + lies * HOUR_MS).toISOString(),
    },
    because,
  }
}

/** What was left to find and comes out again: live prey by the hour its sheet says, at once where the animal is soft
 * or about to shed or molt, since it is bitten; food that rots before it does. What grows or feeds on in the box stays. */
export function takeOutTasks(
  plan: Pick<Plan, 'duties'>,
  { state, holds, day }: { state: ResidentState; holds: readonly Hold[]; day: Day },
): Task[] {
  return plan.duties.flatMap((duty) => {
    const left = duty.does === 'feed' ? lyingThere(duty, state.feeding) : null
    if (!left || day - left.offer.day > ASKED_DAYS) return []
    return [takeOutOf(left, left.food.bites ? defenceless(state, holds) : null, day)]
  })
}
