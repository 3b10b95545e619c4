import type { AmountRule, Needs, Reason, Source, SupplementRule } from '@kobrin/core'
import { sayHeldFloor } from './care.ts'
import { words } from './en.ts'
import en from './en/reasons.ts'
import { sayValue, unitOf } from './readings.ts'
import { sayRest } from './restRule.ts'
import { terms } from './terms.ts'
import { sayGrams, sayIn, sayRangeIn } from './measures.ts'
import { sayDate, sayDay, round, sayMinuteOfDay, sayRange } from './numbers.ts'
import { sayTrigger } from './sayTrigger.ts'
import { spaced } from './spaced.ts'
import { wordsOf } from './i18n.ts'
import { JUDGED_FACTS, JUDGED_RULES } from './judgedReasons.ts'
import { sayCadence } from './cadence.ts'
import type { Teller } from './teller.ts'

const t = wordsOf('reasons', en)

/** Under which conditions an option of a school can stand. */
export function sayNeeds({ ultraviolet }: Needs): string {
  return ultraviolet ? t('onlyWithUltraviolet') : t('onlyWithoutUltraviolet')
}

function saySchool(
  { sheet, school, option, insteadOf }: Extract<Source, { from: 'school' }>,
  name: Teller['school'],
): string {
  const inForce = t('schoolInForceHere', { name: name(sheet, school, option) })
  if (!insteadOf) return inForce
  return t('wasChosenWhichCan', {
    inForce,
    name: name(sheet, school, insteadOf.option),
    needs: sayNeeds(insteadOf.needs),
  })
}

function withUntil(says: string, until: number | undefined, today: number): string {
  return until === undefined ? says : `${says} ${t('untilDate', { date: sayDate(until, today) })}`
}

/** Where a line of a plan comes from. */
export function saySource(source: Source, { today, who, stage, school }: Teller): string {
  switch (source.from) {
    case 'sheet':
      return t('careSheet', { stage: stage(source.sheet, source.stage) })
    case 'school':
      return saySchool(source, school)
    case 'site':
      return t('siteRuleBy', { who: who(source.by), date: sayDate(source.on, today), reason: source.reason })
    case 'resident': {
      const told = { who: who(source.by), date: sayDate(source.on, today), reason: source.reason }
      return withUntil(t('changedForThisResident', told), source.until, today)
    }
  }
}

function sayAmount(amount: AmountRule): string {
  switch (amount.by) {
    case 'count':
      return t('aMeal', { range: sayRange(amount.count) })
    case 'massShare':
      return t('ofBodyWeight', {
        range: sayRange([amount.share[0] * 100, amount.share[1] * 100], (v) =>
          String(Math.round(v * 10) / 10),
        ),
      })
    case 'width':
      return t('noWiderThanIts', {
        factor: amount.factor,
        part: words.part[amount.part],
        range: sayRange(amount.count),
      })
    case 'portion':
      return t('aPortionThatFollows', { grams: sayGrams(amount.min), grams2: sayGrams(amount.max) })
  }
}

function saySupplement({ name, everyMeals, everyDays }: SupplementRule): string {
  if (everyMeals !== undefined)
    return everyMeals === 1 ? t('withEveryMeal', { name }) : t('withEveryMeals', { name, count: everyMeals })
  return t('everyDays', { name, count: everyDays ?? 0 })
}

function sayLimits({ what, want, harmAbove, harmBelow }: Extract<Reason, { rule: 'limits' }>): string {
  const unit = unitOf(what)
  const say = (limit: number) => sayIn(limit, unit, round)
  return [
    ...(want ? [t('wanted', { range: sayRangeIn(want, unit, round) })] : []),
    ...(harmAbove === null ? [] : [t('harmedFromUp', { harmAbove: say(harmAbove) })]),
    ...(harmBelow === null ? [] : [t('harmedFromDown', { harmBelow: say(harmBelow) })]),
  ].join(' ')
}

function sayShownBy(shownBy: Extract<Reason, { rule: 'shownBy' }>['shownBy']): string {
  const percent = (share: number) => `${Math.round(share * 100)} %`
  switch (shownBy.fact) {
    case 'loss':
      return t('belowTheHighestWeight', { percent: percent(shownBy.share), count: shownBy.days })
    case 'droppings':
      return t('droppingsAreASign', { droppings: terms.droppings[shownBy.kind] })
    case 'deaths':
      return t('orMoreDeadWithin', {
        least: shownBy.least,
        count: shownBy.days,
        percent: percent(shownBy.share),
      })
  }
}

type RuleReason = Extract<Reason, { rule: string }>
type FactReason = Extract<Reason, { fact: string }>

const RULES: { [R in RuleReason['rule']]: (reason: Extract<RuleReason, { rule: R }>) => string } = {
  cadence: (reason) => t('thePlan', { cadence: sayCadence(reason.cadence) }),
  offerAgain: (reason) => t('afterARefusalIt', { count: reason.days }),
  window: (reason) =>
    t('bestBetweenAnd', {
      minuteOfDay: sayMinuteOfDay(reason.from),
      minuteOfDay2: sayMinuteOfDay(reason.until),
    }),
  amount: (reason) => sayAmount(reason.amount),
  supplement: (reason) => saySupplement(reason.supplement),
  takeOut: ({ item, hours: count, bites }) =>
    t(bites ? (count === 0 ? 'bitesNow' : 'bitesAfter') : 'goesBadAfter', { item: item, count }),
  weeklyCap: (reason) => t('atMostIn7', { item: reason.item, cap: reason.cap, offers: reason.offers }),
  minGap: (reason) => t('notAgainWithinDays', { item: reason.item, count: reason.days }),
  hold({ hold, days, worryAfter }) {
    const named = words.hold[hold]
    const usually =
      days === undefined ? t('holdOver', { hold: named }) : t('holdUsually', { hold: named, count: days })
    return worryAfter === undefined ? usually : `${usually} ${t('lookAfter', { count: worryAfter })}`
  },
  refusals: (reason) => t('refusalsInARow', { count: reason.toWorry }),
  unseen: (reason) => t('notSeenForDays', { count: reason.days }),
  rest: sayRest,
  limits: sayLimits,
  shownBy: ({ shownBy }) => sayShownBy(shownBy),
  retainedSkin: (reason) =>
    reason.days === 0 ? t('skinThatStaysOn') : t('skinStillOnAfter', { count: reason.days }),
  condition: (reason) => t('n3IsRightFrom', { step: reason.step * 100 }),
  heldFloor: sayHeldFloor,
  numbers: ({ perLitre, per100Cm2, start }) =>
    t('numbersWell', {
      litre: perLitre[0],
      litreMost: perLitre[1],
      floor: per100Cm2[0],
      floorMost: per100Cm2[1],
      start,
    }),
  permit: (reason) => t('permitAhead', { count: reason.days }),
  lookAfterDeath: () => t('whatKilledOne'),
  ...JUDGED_RULES,
}

const FACTS: {
  [F in FactReason['fact']]: (reason: Extract<FactReason, { fact: F }>, teller: Teller) => string
} = {
  lastDone: (reason, { today, who }) => t('last', { day: sayDay(reason.day, today), who: who(reason.by) }),
  gone: (reason, { today, who }) =>
    t('recordedBy', {
      how: words.gone[reason.how],
      day: sayDay(reason.day, today),
      who: who(reason.by),
    }),
  companionDied: ({ companion, by, day }, { today, who, resident }) =>
    t('diedBesideIt', { name: resident(companion), day: sayDay(day, today), who: who(by) }),
  permit: ({ number, what, until }, { today }) =>
    t('permitUntil', { permit: what === null ? number : `${number}, ${what}`, date: sayDate(until, today) }),
  neverDone: (reason, { today }) => t('notDoneYetSince', { date: sayDate(reason.since, today) }),
  refused: (reason, { today }) =>
    t('refusedInARow', {
      day: sayDay(reason.day, today),
      inRow: reason.inRow,
      why: reason.why ? `: ${reason.why}` : '',
    }),
  notOffered: (reason, { today, who }) =>
    t('notOffered', {
      day: sayDay(reason.day, today),
      who: who(reason.by),
      why: reason.why ? `: ${reason.why}` : '',
    }),
  bowl: (reason, { today }) => t('bowl', { found: reason.found, day: sayDay(reason.day, today) }),
  event: (reason, { today }) =>
    `${reason.event === 'meal' ? t('fed') : reason.event === 'shed' ? t('shed') : reason.event} ${sayDay(reason.day, today)}.`,
  noEvent: (reason) => t('noOnRecord', { event: reason.event }),
  sign: (reason, { today, who }) =>
    t('seen2', { stage: words.stage[reason.stage], day: sayDay(reason.day, today), who: who(reason.by) }),
  arrived: (reason, { today }) => t('arrived', { day: sayDay(reason.day, today) }),
  moved: (reason, { today }) => t('moved', { day: sayDay(reason.day, today) }),
  setBy(reason, { today, who }) {
    const says = t('setByWhy', { who: who(reason.by), day: sayDay(reason.day, today), reason: reason.reason })
    return withUntil(says, reason.until ?? undefined, today)
  },
  weight(reason, { today }) {
    const says = t('onSmoothedOverWeighings', {
      grams: sayGrams(reason.grams),
      date: sayDate(reason.day, today),
      count: reason.readings,
    })
    return reason.suspects > 0 ? `${says} ${t('setAside', { count: reason.suspects })}` : says
  },
  reading: (reason, { today, who }) =>
    t('readBy', {
      zone: reason.zone,
      value: sayValue(reason.what, reason.value),
      day: sayDay(reason.day, today),
      who: who(reason.by),
    }),
  highest: (reason, { today }) =>
    t('atItsHighestOf', { grams: sayGrams(reason.grams), date: sayDate(reason.day, today) }),
  weightBefore: (reason, { today }) =>
    t('whenItBeganTo', { grams: sayGrams(reason.grams), date: sayDate(reason.day, today) }),
  weighed: (reason, { today }) =>
    t('weighedOn', { grams: sayGrams(reason.grams), date: sayDate(reason.day, today) }),
  deaths(reason, { today, who }) {
    const told = {
      dead: reason.count,
      count: reason.days,
      day: sayDay(reason.day, today),
      who: who(reason.by),
    }
    return reason.of === null
      ? t('deadWithinDaysThe', told)
      : t('deadWithinDaysOf', { ...told, of: reason.of })
  },
  droppings: (reason, { today, who }) =>
    t('droppings2', {
      droppings: terms.droppings[reason.kind],
      day: sayDay(reason.day, today),
      who: who(reason.by),
    }),
  pale: () => t('itIsPale'),
  noWeight: () => t('noWeightOnRecord'),
  leftToFind: ({ item, at, by }, { who, clock }) =>
    t('putInAt', { item: item, time: clock(at), who: who(by) }),
  size: (reason, { today }) =>
    t('mmOn', {
      part: words.part[reason.part],
      mm: sayIn(reason.mm, 'mm'),
      date: sayDate(reason.day, today),
    }),
  noSize: (reason) => t('noOnRecordThe', { part: words.part[reason.part] }),
  headCount: ({ animals, per }) =>
    animals === null
      ? t('nobodyHasCountedThem', { per })
      : t('animalsTheAmountOf', { count: spaced(animals), per }),
  leftovers: (reason) =>
    t('wasLeftOf', { fraction: Math.round(reason.fraction * 100), grams: sayGrams(reason.grams) }),
  cleared: (reason) => t('portionsOfInA', { count: reason.inRow, grams: sayGrams(reason.grams) }),
  sameItem: (reason, { today }) => t('longestAgo', { item: reason.item, day: sayDay(reason.lastDay, today) }),
  itemRefused: (reason) => t('refusedTimesInA', { item: reason.item, count: reason.inRow }),
  seen: (reason, { today }) =>
    reason.day === null
      ? t('neverSeenOnRecord')
      : t('lastSeenLooksSince', { day: sayDay(reason.day, today), count: reason.searches }),
  fedBy: (reason, { who, clock }) => t('fedAt', { who: who(reason.by), time: clock(reason.at) }),
  observed: (reason, { today, who }) => `${who(reason.by)}, ${sayDay(reason.day, today)}.`,
  count: (reason, { today, who }) =>
    t('foundOf', {
      who: who(reason.by),
      found: reason.found,
      expected: reason.expected,
      day: sayDay(reason.day, today),
    }),
  vacated: (reason, { today, who }) =>
    t('leftEmptyRecordedBy', { day: sayDay(reason.day, today), who: who(reason.by) }),
  floorKept: (reason, { today, who }) =>
    t('putAsideBy', { day: sayDay(reason.day, today), who: who(reason.by), where: reason.where }),
  reached: (reason) =>
    t('theStageEndsAt', {
      has: sayTrigger(reason.trigger, Math.round(reason.has)),
      needs: sayTrigger(reason.trigger, reason.needs),
    }),
  condition: (reason, { today, who }) =>
    t('scoredBy', { score: reason.score, who: who(reason.by), day: sayDay(reason.day, today) }),
  ...JUDGED_FACTS,
}

/** One reason as a sentence. */
export function sayReason(reason: Reason, teller: Teller): string {
  if ('fact' in reason)
    return (FACTS[reason.fact] as (reason: FactReason, teller: Teller) => string)(reason, teller)
  if ('rule' in reason) return (RULES[reason.rule] as (reason: RuleReason) => string)(reason)
  return saySource(reason.source, teller)
}
