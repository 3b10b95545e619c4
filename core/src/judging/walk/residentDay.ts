import type { Dueness, DuenessFacts } from '../cadence/dueness.ts'
import { dueness } from '../cadence/dueness.ts'
import { takeOutTasks } from '../feeding/leftToFind.ts'
import { insteadOf, offeringOn } from '../feeding/offeringOn.ts'
import type { FeedLine } from '../../facts/feeding/feedingState.ts'
import { lastMealDay, lastMealIn, lastOffer, lastOffered } from '../../facts/feeding/feedLine.ts'
import { rowOn, wasEaten } from '../../facts/feeding/offerSum.ts'
import type { Mark } from '../../facts/subjects/mark.ts'
import { broughtHere, cameOn } from '../../facts/residents/stayState.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { WeightLevel } from '../weightTrend/weightLevel.ts'
import { weightOf } from '../weightTrend/weightOf.ts'
import type { Hold } from '../holds/holdsOn.ts'
import { isStopped } from '../holds/stops.ts'
import { floorTasks } from '../lots/floorTasks.ts'
import type { KeptFloor } from '../lots/keptFloor.ts'
import type { Duty } from '../../plans/plan/duty.ts'
import { isBefore } from '../../plans/plan/setupDuties.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { becauseOfDeath, lookAfterDeath } from '../looking/lookAfterDeath.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Readings } from '../../facts/readings/readingsState.ts'
import { zonesNow } from '../../plans/sheet/climate.ts'
import { isReadNow } from '../../plans/readings/limits.ts'
import type { Point } from '../../facts/readings/readingsState.ts'
import { lastReading } from '../../facts/readings/readingsState.ts'
import { climateSince, isOfClimate, isOfClimateNow } from '../readings/climateNow.ts'
import type { Hemisphere } from '../../basics/time/hemisphere.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { isComing, judgementOn } from './judgement.ts'
import { verdictsOfGone } from '../verdicts/verdictsOfGone.ts'
import type { Task } from './task.ts'
import { boxKey, lastInBox } from '../places/boxDuties.ts'
import type { DoneInBox } from '../../facts/places/placeState.ts'
import { shedDays } from '../../facts/skin/skinState.ts'
import { own } from '../../facts/subjects/own.ts'

/** Everything one resident asks for on a day. */
export interface ResidentDay {
  tasks: Task[]
  holds: Hold[]
  verdicts: Verdict[]
  weight: WeightLevel | null
}

/** Days ahead that food has to be prepared for: the longest thaw or gut-load of a sheet. */
const PREPARE_AHEAD_DAYS = 3

interface Today {
  plan: Plan
  box: DoneInBox
  readings: Readings
  day: Day
  minute: number | null
  state: ResidentState
  holds: readonly Hold[]
  weight: WeightLevel | null
}

/** A duty with what the record says of it. */
interface Looked {
  duty: Duty
  /** Its feeds, of a feeding duty. */
  line: FeedLine | undefined
  /** When it was last seen to. */
  mark: Mark | undefined
}

function latestOf(days: readonly (Day | undefined)[]): Day | null {
  return days.reduce<Day | null>(
    (latest, day) => (day === undefined || (latest ?? day) > day ? latest : day),
    null,
  )
}

type Event = Extract<Duty['cadence'], { type: 'after' }>['event']

function eventDay(event: Event, state: ResidentState): Day | null {
  switch (event) {
    case 'arrived':
      return cameOn(state.stay)
    case 'moved':
      return broughtHere(state.stay)?.day ?? null
    case 'shed':
      return shedDays(state.skin).at(-1) ?? null
    case 'meal':
      return lastMealDay(state.feeding)
  }
}

function lastLookAtBowl(duty: Duty, state: ResidentState): Day | null {
  return latestOf([own(state.done, `${duty.id}:bowl`)?.day, own(state.done, duty.id)?.day])
}

function readingFor(point: Point, today: Today): Mark | undefined {
  const last = lastReading(today.readings, point)
  return last && isOfClimateNow(last, today) ? last : undefined
}

function markFor(duty: Duty, today: Today): Mark | undefined {
  const { state, plan, box } = today
  if (duty.reads) return readingFor(duty.reads, today)
  const key = boxKey(duty, plan)
  return key === null ? own(state.done, duty.id) : lastInBox(duty, key, { state, box })
}

function emptySince(duty: Duty, state: ResidentState): Day | null {
  const bowl = own(state.feeding.bowls, duty.id)
  return bowl?.found === 'empty' && !bowl.refilled ? bowl.day : null
}

function offerAgainOn(duty: Duty, line: FeedLine | undefined): Day | null {
  const offer = lastOffered(line)
  if (duty.offerAgainAfter === undefined || !offer || wasEaten(offer) !== false) return null
  return offer.day + duty.offerAgainAfter
}

function lastDone({ duty, line, mark }: Looked, state: ResidentState): Day | null {
  if (duty.cadence.type === 'whenEmpty') return lastLookAtBowl(duty, state)
  if (duty.does === 'feed') return lastMealIn(line)?.day ?? null
  return mark?.day ?? null
}

function factsOf(looked: Looked, today: Today): DuenessFacts {
  const { duty, line } = looked
  const { day, state } = today
  // The climate of a rest, or of its waking, is asked for from the day it began.
  const climate = duty.reads && isOfClimate(duty.reads.what) ? climateSince(day, today) : null
  const facts: DuenessFacts = {
    day,
    lastDone: lastDone(looked, state),
    since: climate ?? state.stay.arrivedOn ?? day,
  }
  if (duty.does === 'feed') facts.notBefore = offerAgainOn(duty, line)
  if (duty.cadence.type === 'after') facts.eventDay = eventDay(duty.cadence.event, state)
  if (duty.cadence.type === 'whenEmpty') facts.emptySince = emptySince(duty, state)
  return facts
}

function reasonsOf(looked: Looked, facts: DuenessFacts, { day, state }: Today): Reason[] {
  const { duty, line } = looked
  const afterDeath = becauseOfDeath(duty, state)
  if (afterDeath) return afterDeath
  const because: Reason[] = []
  const mark = line ? lastMealIn(line) : looked.mark
  if (mark) because.push({ fact: 'lastDone', duty: duty.id, day: mark.day, by: mark.by })
  else because.push({ fact: 'neverDone', duty: duty.id, since: facts.since })
  const offer = lastOffered(line)
  if (line && offer && wasEaten(offer) === false) {
    because.push({
      fact: 'refused',
      duty: duty.id,
      day: offer.day,
      by: offer.by,
      inRow: rowOn(line, day)?.refusals ?? 1,
      ...(offer.why !== undefined && { why: offer.why }),
    })
    if (duty.offerAgainAfter !== undefined) because.push({ rule: 'offerAgain', days: duty.offerAgainAfter })
  }
  const passed = lastOffer(line)
  if (passed?.outcome === 'notOffered') {
    because.push({
      fact: 'notOffered',
      day: passed.day,
      by: passed.by,
      ...(passed.why !== undefined && { why: passed.why }),
    })
  }
  const bowl = duty.cadence.type === 'whenEmpty' && own(state.feeding.bowls, duty.id)
  if (bowl) because.push({ fact: 'bowl', day: bowl.day, found: bowl.found })
  if (duty.cadence.type === 'after') {
    const { event } = duty.cadence
    because.push(
      facts.eventDay == null ? { fact: 'noEvent', event } : { fact: 'event', event, day: facts.eventDay },
    )
  }
  because.push({ rule: 'cadence', cadence: duty.cadence })
  if (duty.window) because.push({ rule: 'window', ...duty.window })
  because.push({ source: duty.source })
  return because
}

function markToday({ duty, mark }: Looked, { day, state }: Today): Mark | undefined {
  if (duty.cadence.type !== 'whenEmpty') return mark?.day === day ? mark : undefined
  if (emptySince(duty, state) !== null) return undefined
  return [mark, own(state.done, `${duty.id}:bowl`)].find((candidate) => candidate?.day === day)
}

function doneToday(looked: Looked, today: Today): Task['done'] {
  const mark = markToday(looked, today)
  if (!mark) return undefined
  const { at, by, uid } = mark
  const offer = lastOffer(looked.line)
  return { at, by, uid, ...(offer?.uid === uid && { outcome: offer.outcome }) }
}

function holdOf(duty: Duty, holds: readonly Hold[]): Hold | undefined {
  return holds.find((hold) => isStopped(duty, hold))
}

/** Whether a meal of the next days has to be thawed or gut-loaded for. */
function preparedAhead({ foods = [] }: Duty, dueOn: Day, day: Day): boolean {
  const isNear = dueOn > day && dueOn <= day + PREPARE_AHEAD_DAYS
  return isNear && foods.some(({ thawDays, gutLoadDays }) => thawDays || gutLoadDays)
}

function mealOn(task: Task, due: Dueness, today: Today): void {
  const { duty, status } = task
  const { day } = today
  if (duty.does !== 'feed' || !duty.foods) return
  if (due.dueOn !== null && preparedAhead(duty, due.dueOn, day)) {
    const ahead = offeringOn(duty, Math.ceil(due.dueOn), today)
    if (ahead && !ahead.tooLarge) task.ahead = ahead
  }
  if (status === 'notYet' || status === 'held') return
  const offering = offeringOn(duty, day, today)
  if (offering && !offering.tooLarge) task.offering = offering
  else if (status !== 'done') {
    task.nothingToOffer = true
    if (offering?.tooLarge) {
      const { item, tooLarge, because } = offering
      task.tooLarge = { item, ...tooLarge, instead: insteadOf(duty) }
      task.because.push(...because)
    }
  }
}

function statusOf(
  looked: Looked,
  due: Dueness,
  today: Today,
): Pick<Task, 'status' | 'hold' | 'done' | 'opensAtMinute'> {
  const { duty } = looked
  const { minute, holds } = today
  const done = doneToday(looked, today)
  if (done) return { status: 'done', done }
  if (due.status === 'notYet') return { status: 'notYet' }
  const stopped = holdOf(duty, holds)
  if (stopped) return { status: 'held', hold: stopped.hold }
  const opensAt = duty.window?.from
  if (opensAt !== undefined && minute !== null && minute < opensAt && due.status !== 'open') {
    return { status: 'open', opensAtMinute: opensAt }
  }
  return { status: due.status }
}

/** A duty as it is while some holds last. */
function whileHeld(duty: Duty, holds: readonly Hold[]): Duty {
  const { cadenceDuring } = duty
  const hold = cadenceDuring && holds.find((one) => cadenceDuring[one.hold])
  const cadence = hold && cadenceDuring[hold.hold]
  return cadence ? { ...duty, cadence } : duty
}

function taskOf(planned: Duty, today: Today): Task {
  const duty = whileHeld(planned, today.holds)
  const { state } = today
  const line = duty.does === 'feed' ? own(state.feeding.lines, duty.id) : undefined
  const looked: Looked = { duty, line, mark: markFor(duty, today) }
  const facts = factsOf(looked, today)
  const due = dueness(duty.cadence, facts)
  const standing = statusOf(looked, due, today)
  const held = standing.hold ? holdOf(duty, today.holds) : undefined
  const isLate = standing.status === 'late' || standing.status === 'held'
  const task: Task = {
    duty,
    dueOn: due.dueOn,
    daysOver: isLate ? due.daysOver : 0,
    lateness: isLate ? due.lateness : 0,
    ...standing,
    because: [...(held?.because ?? []), ...reasonsOf(looked, facts, today)],
  }
  if (facts.emptySince != null) task.emptySince = facts.emptySince
  mealOn(task, due, today)
  return task
}

export interface ResidentDayInput {
  day: Day
  /** Old floors of this resident that are still kept. */
  floors?: readonly KeptFloor[] | undefined
  /** What was last read where it lives. */
  readings?: Readings | undefined
  /** What was last done in the box it lives in, no matter which tenant it was said of. */
  box?: DoneInBox | undefined
  /** Wall-clock minutes since the site's midnight; without it windows are ignored. */
  minute?: number | undefined
  plan: Plan
  state: ResidentState
  hemisphere?: Hemisphere | undefined
}

const NO_FLOORS: readonly KeptFloor[] = []
const NOTHING_READ: Readings = {}
const NOTHING_DONE: DoneInBox = {}

/** What one resident needs on a day, what is held and why, and what its record says is wrong. Somebody who
 * is gone needs nothing; only what it left behind does. */
export function residentDay({
  day,
  minute,
  plan,
  state,
  floors = NO_FLOORS,
  readings = NOTHING_READ,
  box = NOTHING_DONE,
  hemisphere,
}: ResidentDayInput): ResidentDay {
  if (state.stay.ended) {
    const course = weightOf(state, plan)
    const weight = course.level
    const tasks = floorTasks(floors, plan, day)
    const facts = { day, plan, state, weight, course, floors, readings, holds: [] }
    return { tasks, holds: [], verdicts: verdictsOfGone(facts, tasks), weight }
  }
  const { holds, weight, verdicts } = judgementOn({ day, plan, state, floors, readings, hemisphere })
  const coming = isComing(state)
  const today: Today = { day, minute: minute ?? null, plan, box, state, holds, weight, readings }
  const tasks: Task[] = []
  const now = zonesNow(
    plan.targets,
    holds.map(({ hold }) => hold),
  )
  for (const duty of plan.duties)
    if (isBefore(duty) === coming && (!duty.reads || isReadNow(duty.reads, now)))
      tasks.push(taskOf(duty, today))
  tasks.push(...lookAfterDeath(plan, state, day).map((duty) => taskOf(duty, today)))
  tasks.push(...takeOutTasks(plan, { state, holds, day }))
  tasks.push(...floorTasks(floors, plan, day))
  return { tasks, holds, verdicts, weight }
}
