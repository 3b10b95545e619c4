import type { Draft, Entry, EntryKind, LotState, Plan, PlaceState, ResidentState, Task } from '@kobrin/core'
import {
  advance,
  asPlanned,
  emptyState,
  fedDraft,
  isToDo,
  keptFloor,
  lastMealDay,
  limitsAt,
  replay,
  residentDay,
  standsOn,
} from '@kobrin/core'
import type { Chance } from '../chance.ts'
import type { Animal } from './animal.ts'
import { eats, hasTrouble, liveADay, losesSkin, onTheBalance } from './animal.ts'

export interface Kept {
  residentId: string
  plan: Plan
  animal: Animal
  state: ResidentState
  /** The enclosure it lives in, and what is believed of it. */
  home: string
  place: PlaceState
  /** Old floors of it that were put aside. */
  lots: Map<string, LotState>
  history: Entry[]
  /** The feeding duty whose food was left for it last night. */
  lookAt?: string
  /** First day on record. */
  since: number
}

export interface KeeperDay {
  day: number
  weekend: boolean
  /** UTC milliseconds of a wall-clock minute of this day. */
  at: (minute: number) => number
  /** Who works, in the order of the walk. */
  author: string
  evening: string
  may: (author: string, kind: EntryKind) => boolean
  /** Minute at which the walk reaches this resident. */
  minute: number
  /** Nothing after this moment has happened yet, UTC milliseconds. */
  until: number
  chance: Chance
}

export function newKept(
  lives: Pick<Kept, 'residentId' | 'home'>,
  plan: Plan,
  animal: Animal,
  since: number,
): Kept {
  return {
    ...lives,
    plan,
    animal,
    since,
    state: emptyState('resident'),
    place: emptyState('place'),
    lots: new Map(),
    history: [],
  }
}

/** Appends what a keeper would have entered. Moments beyond `until` have not happened. */
export function record(
  kept: Kept,
  draft: Draft,
  author: string,
  ms: number,
  today: KeeperDay,
): string | null {
  if (ms > today.until) return null
  const entry = {
    ...draft,
    uid: today.chance.uid(ms),
    occurredAt: new Date(ms).toISOString(),
    day: today.day,
    // What a volunteer may not record, anyone who has the evening does.
    author: today.may(author, draft.kind) ? author : today.evening,
  }
  kept.history.push(entry)
  fold(kept, entry)
  return entry.uid
}

/** What is believed of whatever the entry is about: the resident, its box, or a floor of it that is kept. */
function fold(kept: Kept, entry: Entry): void {
  const { subject } = entry
  const told = () => kept.history.filter((one) => one.subject === subject)
  if (subject === kept.residentId) {
    const next = advance(kept.state, entry)
    kept.state = next === 'replay' ? replay('resident', told()) : next
  } else if (subject === kept.home) {
    const next = advance(kept.place, entry)
    kept.place = next === 'replay' ? replay('place', told()) : next
  } else {
    const next = advance(kept.lots.get(subject) ?? emptyState('lot'), entry)
    kept.lots.set(subject, next === 'replay' ? replay('lot', told()) : next)
  }
}

/** Keepers skip a little, more at weekends, and never the daily water. */
function getsDone(task: Task, { weekend, chance }: KeeperDay): boolean {
  if (task.duty.does === 'water') return chance.happens(0.985)
  const skipped = task.duty.does === 'feed' ? 0.03 : 0.1
  return !chance.happens(weekend ? skipped * 3 : skipped)
}

function weighing(kept: Kept, today: KeeperDay, author: string, ms: number): void {
  const { animal } = kept
  const { chance } = today
  if (!animal.biology.adultGrams || hasTrouble(animal, today.day, 'gone')) return
  const grams = onTheBalance(animal, chance)
  const slip = chance.happens(0.006)
  const typed = slip ? Math.round(grams * (chance.happens(0.5) ? 10 : 0.1) * 10) / 10 : grams
  const draft: Draft = { subject: kept.residentId, kind: 'weighed', payload: { grams: typed } }
  const uid = record(kept, draft, author, ms, today)
  if (slip && uid && chance.happens(0.8)) {
    const correction: Draft = {
      subject: kept.residentId,
      kind: 'corrected',
      payload: { target: uid, to: { kind: 'weighed', payload: { grams } }, why: 'The decimal slipped.' },
    }
    record(kept, correction, author, ms + chance.whole(2, 200) * 60_000, today)
  }
}

/** Nobody is there to take it: it is left, and found as it was the next morning. */
function leftUntouched(kept: Kept, task: Task, today: KeeperDay, author: string, ms: number): void {
  const { offering, duty } = task
  if (!offering) return
  record(kept, fedDraft(kept.residentId, task, offering, 'left'), author, ms, today)
  kept.lookAt = duty.id
}

/** What was left last night is looked at in the morning. */
function lookAtLeft(kept: Kept, today: KeeperDay): void {
  const duty = kept.lookAt
  if (duty === undefined) return
  delete kept.lookAt
  const draft: Draft = { subject: kept.residentId, kind: 'bowl', payload: { duty, found: 'full' } }
  record(kept, draft, today.author, today.at(today.minute) + 40_000, today)
}

function feeding(kept: Kept, task: Task, today: KeeperDay, author: string, ms: number): void {
  const { offering } = task
  const { chance, day } = today
  if (!offering) return
  if (hasTrouble(kept.animal, day, 'gone')) return leftUntouched(kept, task, today, author, ms)
  if (!eats(kept.animal, day, chance)) {
    const outcome = offering.grams && !offering.count ? 'part' : 'refused'
    record(kept, fedDraft(kept.residentId, task, offering, outcome), author, ms, today)
    return
  }
  const outcome = chance.happens(0.06) ? 'part' : 'taken'
  record(kept, fedDraft(kept.residentId, task, offering, outcome), author, ms, today)
  const { animal } = kept
  if (!animal.biology.adultGrams) return
  // Of a bowl that is filled it eats what it can; of prey, all of it.
  const prey = offering.count ? (offering.grams?.[1] ?? 0) : 0
  animal.gutGrams += prey || animal.bodyGrams * chance.between(0.01, 0.04)
}

/** What an instrument shows in the middle of what is wanted, with the spread of a real room; now and then a lamp
 * or a thermostat is off. */
function reading(kept: Kept, { duty }: Task, today: KeeperDay, author: string, ms: number): void {
  const { plan, residentId: resident, home } = kept
  const { chance } = today
  const held = kept.state.holds.said.filter((one) => standsOn(one, today.day)).map(({ hold }) => hold)
  const limits = duty.reads && limitsAt(duty.reads, plan, { holds: held })
  if (!duty.reads || !limits?.want) return
  const { zone, what } = duty.reads
  const [low, high] = limits.want
  const wanders = chance.happens(0.01) ? 1.2 : 0.25
  const value = (low + high) / 2 + chance.normal(0, 1) * (high - low) * wanders
  const fine = what === 'celsius' || what === 'humidity' ? 1 : 2
  const draft: Draft = {
    subject: home,
    kind: 'reading',
    payload: { zone, what, value: Math.max(0, Number(value.toFixed(fine))), resident },
  }
  record(kept, draft, author, ms, today)
}

function leftovers(kept: Kept, task: Task, today: KeeperDay, author: string, ms: number): void {
  if (task.duty.amount?.by !== 'portion' || !today.chance.happens(0.18)) return
  const cleared = today.chance.happens(0.6)
  const draft: Draft = {
    subject: kept.residentId,
    kind: 'bowl',
    payload: cleared
      ? { duty: task.duty.id, found: 'empty' }
      : { duty: task.duty.id, found: 'leftovers', leftFraction: today.chance.whole(1, 6) / 10 },
  }
  record(kept, draft, author, ms, today)
}

/** Whether a task waits for a later hour than the morning walk. */
function isLater(task: Task, today: KeeperDay): boolean {
  return task.duty.window !== undefined && task.duty.window.from > today.minute
}

/** When a task is seen to: on the walk after a look at the animal, or once its window is open. */
function momentOf(task: Task, today: KeeperDay, order: number): number {
  const { window } = task.duty
  const minute = window && isLater(task, today) ? Math.min(window.from + 20, window.until) : today.minute
  return Math.round(today.at(minute) + 100_000 + order * 7_000 + today.chance.between(0, 5_000))
}

function isMet(animal: Animal, { day, chance }: KeeperDay): boolean {
  return !hasTrouble(animal, day, 'gone') && chance.happens(animal.biology.seen)
}

function perform(kept: Kept, task: Task, today: KeeperDay, order: number): void {
  const { does } = task.duty
  const author = isLater(task, today) ? today.evening : today.author
  const ms = momentOf(task, today, order)
  if (does === 'weigh') return weighing(kept, today, author, ms)
  if (does === 'read') return reading(kept, task, today, author, ms)
  if (does === 'feed' && task.duty.cadence.type !== 'whenEmpty') {
    leftovers(kept, task, today, author, ms)
    return feeding(kept, task, today, author, ms + 1_000)
  }
  if (does === 'look' && !isMet(kept.animal, today)) {
    const draft: Draft = { subject: kept.residentId, kind: 'looked', payload: { seen: false } }
    record(kept, draft, author, ms, today)
    return
  }
  const draft = asPlanned(kept.residentId, task, { enclosure: kept.home, plan: kept.plan })
  if (draft) record(kept, draft, author, ms, today)
}

/** What keepers notice of the skin, a day or two late as they do. */
function noticeSkin(kept: Kept, today: KeeperDay): void {
  const { animal, state, residentId: subject } = kept
  const { skin } = animal.biology
  const { day, chance } = today
  if (!skin || animal.skinDay === null || animal.signsFrom === null) return
  const say = (payload: Extract<Draft, { kind: 'ecdysis' }>['payload']) =>
    record(kept, { subject, kind: 'ecdysis', payload }, today.author, today.at(today.minute) + 50_000, today)
  if (day >= animal.skinDay && !hasTrouble(animal, day, 'stuckInSkin', 'signStays')) {
    const whole = chance.happens(0.9)
    const retained =
      whole || skin.ends === 'molted'
        ? []
        : [
            chance.pick(
              kept.plan.group === 'snake'
                ? (['tailTip', 'eyeCaps'] as const)
                : (['toes', 'tailTip'] as const),
            ),
          ]
    say({ stage: skin.ends, how: whole ? 'whole' : 'inPieces', ...(retained.length > 0 && { retained }) })
    losesSkin(animal, chance)
    return
  }
  if (state.skin.sign?.stage === 'soft') {
    const hardens = skin.hardens ?? 0
    if (day - state.skin.sign.since >= hardens && chance.happens(0.5)) say({ stage: 'hardened' })
    return
  }
  // One that should have shed and does not, without a sign of it.
  if (day < animal.signsFrom || state.skin.sign || hasTrouble(animal, day, 'stuckInSkin')) {
    const closing = state.skin.sign?.stage === 'premolt' && day - state.skin.sign.since >= 4
    if (closing && skin.sealsIn && chance.happens(skin.sealsIn / 10)) say({ stage: 'sealedIn' })
    return
  }
  if (chance.happens(0.55)) say({ stage: skin.sign })
}

/** Prey rules need a width; keepers measure on arrival and a few times a year. */
function measure(kept: Kept, today: KeeperDay): void {
  const { parts } = kept.animal.biology
  if (!parts) return
  for (const [part, mm] of Object.entries(parts)) {
    const known = kept.state.growth.sizes[part]
    if (known && today.day - known.day < 120) continue
    const draft = {
      subject: kept.residentId,
      kind: 'measured',
      payload: { part, mm: Math.round(mm * today.chance.normal(1, 0.04) * 10) / 10 },
    } as Draft
    record(kept, draft, today.author, today.at(today.minute) + 58_000, today)
  }
}

/** One day of one resident: it lives, and its keepers walk by. */
export function keepADay(kept: Kept, today: KeeperDay): void {
  const floors = [...kept.lots].flatMap(([lot, state]) => keptFloor(lot, state) ?? [])
  const { plan, state, place } = kept
  const { tasks } = residentDay({
    day: today.day,
    plan,
    state,
    floors,
    readings: place.readings ?? {},
    box: place.done,
  })
  // In the order of the clock: the walk first, what waits for its hour after it.
  const todo = tasks
    .filter(isToDo)
    .sort(
      (a, b) =>
        (isLater(a, today) ? (a.duty.window?.from ?? 0) : 0) -
        (isLater(b, today) ? (b.duty.window?.from ?? 0) : 0),
    )
  lookAtLeft(kept, today)
  if (!hasTrouble(kept.animal, today.day, 'gone')) {
    noticeSkin(kept, today)
    measure(kept, today)
  }
  let order = 0
  for (const task of todo) {
    // What was just noticed may hold the rest.
    if (kept.state.skin.sign && task.duty.does !== 'water' && task.duty.does !== 'look') continue
    if (!getsDone(task, today)) continue
    perform(kept, task, today, order)
    order += 1
  }
  const lastMeal = Math.max(kept.since, lastMealDay(kept.state.feeding) ?? 0)
  liveADay(kept.animal, today.day, today.day - lastMeal < 25, today.chance)
}
