import type { AmountRule, Needs, Reason, Source, SupplementRule } from '@kobrin/core'
import { sayHeldFloor } from './care.ts'
import { words } from './en.ts'
import { sayValue, unitOf } from './readings.ts'
import { sayRest } from './rest.ts'
import { terms } from './terms.ts'
import { sayDate, sayDay, sayGrams, round, sayMinuteOfDay, sayRange, spaced } from './numbers.ts'

export interface Teller {
  today: number
  /** Name of a person by id. */
  who: (personId: string) => string
  clock: (iso: string) => string
  /** "Royal python, Adult" */
  stage: (sheet: string, stage: string) => string
  /** "Damp hide (Moist floor, or dry floor with a damp hide?)" */
  school: (sheet: string, school: string, option: string) => string
  /** "Adult", in the sheet of a resident. */
  stageOf: (residentId: string, stage: string) => string
  /** "Damp hide (Moist floor, or dry floor with a damp hide?)", in the sheet of a resident. */
  schoolOf: (residentId: string, school: string, option: string) => string
}

/** Under which conditions an option of a school can stand. */
export function sayNeeds({ ultraviolet }: Needs): string {
  return ultraviolet ? 'only with ultraviolet' : 'only without ultraviolet'
}

function saySchool(
  { sheet, school, option, insteadOf }: Extract<Source, { from: 'school' }>,
  name: Teller['school'],
): string {
  const inForce = `School in force here: ${name(sheet, school, option)}`
  if (!insteadOf) return inForce
  return `${inForce} “${name(sheet, school, insteadOf.option)}” was chosen, which can stand ${sayNeeds(insteadOf.needs)}.`
}

/** Where a line of a plan comes from. */
export function saySource(source: Source, { today, who, stage, school }: Teller): string {
  switch (source.from) {
    case 'sheet':
      return `Care sheet: ${stage(source.sheet, source.stage)}.`
    case 'school':
      return saySchool(source, school)
    case 'site':
      return `Site rule by ${who(source.by)}, ${sayDate(source.on, today)}: ${source.reason}`
    case 'resident': {
      const until = source.until === undefined ? '' : ` Until ${sayDate(source.until, today)}.`
      return `Changed for this resident by ${who(source.by)}, ${sayDate(source.on, today)}: ${source.reason}${until}`
    }
  }
}

function sayAmount(amount: AmountRule): string {
  switch (amount.by) {
    case 'count':
      return `${sayRange(amount.count)} a meal.`
    case 'massShare':
      return `${sayRange([amount.share[0] * 100, amount.share[1] * 100], (v) => String(Math.round(v * 10) / 10))} % of body weight.`
    case 'width':
      return `No wider than ${amount.factor} × its ${terms.part[amount.part]}, ${sayRange(amount.count)} a meal.`
    case 'portion':
      return `A portion that follows its leftovers, between ${sayGrams(amount.min)} and ${sayGrams(amount.max)}.`
  }
}

function saySupplement({ name, everyMeals, everyDays }: SupplementRule): string {
  if (everyMeals !== undefined)
    return everyMeals === 1 ? `${name} with every meal.` : `${name} with every ${everyMeals} meals.`
  return `${name} every ${everyDays ?? 0} days.`
}

function sayLimits({ what, want, harmAbove, harmBelow }: Extract<Reason, { rule: 'limits' }>): string {
  const unit = unitOf(what) === '' ? '' : ` ${unitOf(what)}`
  return [
    ...(want ? [`Wanted: ${sayRange(want, round)}${unit}.`] : []),
    ...(harmAbove === null ? [] : [`Harmed from ${round(harmAbove)}${unit} up.`]),
    ...(harmBelow === null ? [] : [`Harmed from ${round(harmBelow)}${unit} down.`]),
  ].join(' ')
}

function sayShownBy(shownBy: Extract<Reason, { rule: 'shownBy' }>['shownBy']): string {
  const percent = (share: number) => `${Math.round(share * 100)} %`
  switch (shownBy.fact) {
    case 'loss':
      return `${percent(shownBy.share)} below the highest weight of ${shownBy.days} days is a sign.`
    case 'droppings':
      return `Droppings ${terms.droppings[shownBy.kind]} are a sign.`
    case 'deaths':
      return `${shownBy.least} or more dead within ${shownBy.days} days are a sign, where they are counted from ${percent(shownBy.share)} of all.`
  }
}

type RuleReason = Extract<Reason, { rule: string }>
type FactReason = Extract<Reason, { fact: string }>

const RULES: { [R in RuleReason['rule']]: (reason: Extract<RuleReason, { rule: R }>) => string } = {
  cadence: (reason) => `The plan: ${terms.cadence(reason.cadence)}.`,
  offerAgain: (reason) => `After a refusal it is offered again in ${reason.days} days.`,
  window: (reason) => `Best between ${sayMinuteOfDay(reason.from)} and ${sayMinuteOfDay(reason.until)}.`,
  amount: (reason) => sayAmount(reason.amount),
  supplement: (reason) => saySupplement(reason.supplement),
  weeklyCap: (reason) => `${reason.item}: at most ${reason.cap} in 7 days, offered ${reason.offers}.`,
  minGap: (reason) => `${reason.item}: not again within ${reason.days} days.`,
  hold(reason) {
    const usual = reason.days === undefined ? '' : ` usually ${reason.days} days;`
    const worry = reason.worryAfter === undefined ? '' : ` somebody should look after ${reason.worryAfter}.`
    return `${words.hold[reason.hold]}:${usual}${worry || ' over when they are.'}`
  },
  refusals: (reason) => `${reason.toWorry} refusals in a row are a worry here.`,
  unseen: (reason) => `Not seen for ${reason.days} days is a worry for this kind.`,
  rest: sayRest,
  limits: sayLimits,
  shownBy: ({ shownBy }) => sayShownBy(shownBy),
  retainedSkin: (reason) =>
    reason.days === 0
      ? 'Skin that stays on is acted on at once in this kind.'
      : `Skin still on after ${reason.days} days has to be acted on.`,
  condition: (reason) =>
    `3 is right. From 4 up and 2 down the interval or the portion changes by ${reason.step * 100} %; a senior decides.`,
  heldFloor: sayHeldFloor,
}

const FACTS: {
  [F in FactReason['fact']]: (reason: Extract<FactReason, { fact: F }>, teller: Teller) => string
} = {
  lastDone: (reason, { today, who }) => `Last ${sayDay(reason.day, today)}, ${who(reason.by)}.`,
  gone: (reason, { today, who }) =>
    `${reason.how === 'died' ? 'Died' : 'Left'} ${sayDay(reason.day, today)}, recorded by ${who(reason.by)}.`,
  neverDone: (reason, { today }) => `Not done yet since ${sayDate(reason.since, today)}.`,
  refused: (reason, { today }) =>
    `Refused ${sayDay(reason.day, today)}, ${reason.inRow} in a row${reason.why ? `: ${reason.why}` : ''}.`,
  notOffered: (reason, { today, who }) =>
    `Not offered ${sayDay(reason.day, today)}, ${who(reason.by)}${reason.why ? `: ${reason.why}` : ''}.`,
  bowl: (reason, { today }) => `Bowl ${reason.found} ${sayDay(reason.day, today)}.`,
  event: (reason, { today }) =>
    `${reason.event === 'meal' ? 'Fed' : reason.event === 'shed' ? 'Shed' : reason.event} ${sayDay(reason.day, today)}.`,
  noEvent: (reason) => `No ${reason.event} on record.`,
  sign: (reason, { today, who }) =>
    `${terms.stage[reason.stage]} seen ${sayDay(reason.day, today)}, ${who(reason.by)}.`,
  arrived: (reason, { today }) => `Arrived ${sayDay(reason.day, today)}.`,
  moved: (reason, { today }) => `Moved ${sayDay(reason.day, today)}.`,
  setBy(reason, { today, who }) {
    const until = reason.until === null ? '' : ` Until ${sayDate(reason.until, today)}.`
    return `${who(reason.by)}, ${sayDay(reason.day, today)}: ${reason.reason}${until}`
  },
  weight(reason, { today }) {
    const aside = reason.suspects > 0 ? `, ${reason.suspects} set aside as suspect` : ''
    return `${sayGrams(reason.grams)} on ${sayDate(reason.day, today)}, smoothed over ${reason.readings} weighings${aside}.`
  },
  reading: (reason, { today, who }) =>
    `${reason.zone}: ${sayValue(reason.what, reason.value)}, read ${sayDay(reason.day, today)} by ${who(reason.by)}.`,
  highest: (reason, { today }) =>
    `${sayGrams(reason.grams)} at its highest of the year, ${sayDate(reason.day, today)}.`,
  weightBefore: (reason, { today }) =>
    `${sayGrams(reason.grams)} when it began to rest, weighed ${sayDate(reason.day, today)}.`,
  deaths: (reason, { today, who }) =>
    `${spaced(reason.count)} dead within ${reason.days} days${reason.of === null ? ', of a colony nobody has counted' : `, of ${spaced(reason.of)}`}; the last ${sayDay(reason.day, today)}, ${who(reason.by)}.`,
  droppings: (reason, { today, who }) =>
    `Droppings ${terms.droppings[reason.kind]}, ${sayDay(reason.day, today)}, ${who(reason.by)}.`,
  noWeight: () => 'No weight on record yet.',
  size: (reason, { today }) => `${terms.part[reason.part]} ${reason.mm} mm on ${sayDate(reason.day, today)}.`,
  noSize: (reason) => `No ${terms.part[reason.part]} on record: the smallest size.`,
  headCount: ({ animals, per }) =>
    animals === null
      ? `Nobody has counted them: the amount is for ${per}. Count them, and it follows.`
      : `${spaced(animals)} animals; the amount of the sheet is for ${per}.`,
  leftovers: (reason) => `${Math.round(reason.fraction * 100)} % was left of ${sayGrams(reason.grams)}.`,
  cleared: (reason) => `${reason.inRow} portions of ${sayGrams(reason.grams)} in a row were cleared.`,
  sameItem: (reason, { today }) => `${reason.item} longest ago: ${sayDay(reason.lastDay, today)}.`,
  itemRefused: (reason) => `${reason.item} refused ${reason.inRow} times in a row.`,
  seen: (reason, { today }) =>
    reason.day === null
      ? 'Never seen on record.'
      : `Last seen ${sayDay(reason.day, today)}; ${reason.searches} looks since.`,
  fedBy: (reason, { who, clock }) => `${who(reason.by)} fed at ${clock(reason.at)}.`,
  observed: (reason, { today, who }) => `${who(reason.by)}, ${sayDay(reason.day, today)}.`,
  count: (reason, { today, who }) =>
    `${who(reason.by)} found ${reason.found} of ${reason.expected} ${sayDay(reason.day, today)}.`,
  vacated: (reason, { today, who }) =>
    `Left empty ${sayDay(reason.day, today)}, recorded by ${who(reason.by)}.`,
  floorKept: (reason, { today, who }) =>
    `Put aside ${sayDay(reason.day, today)} by ${who(reason.by)}: ${reason.where}.`,
  reached: (reason) =>
    `${spaced(Math.round(reason.has))} ${terms.trigger[reason.trigger]}; the stage ends at ${spaced(reason.needs)}.`,
  condition: (reason, { today, who }) =>
    `Scored ${reason.score} by ${who(reason.by)} ${sayDay(reason.day, today)}.`,
}

/** One reason as a sentence. */
export function sayReason(reason: Reason, teller: Teller): string {
  if ('fact' in reason)
    return (FACTS[reason.fact] as (reason: FactReason, teller: Teller) => string)(reason, teller)
  if ('rule' in reason) return (RULES[reason.rule] as (reason: RuleReason) => string)(reason)
  return saySource(reason.source, teller)
}
