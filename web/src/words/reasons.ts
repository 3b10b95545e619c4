import type { AmountRule, Reason, Source, SupplementRule } from '@kobrin/core'
import { words } from './en.ts'
import { terms } from './terms.ts'
import { sayDate, sayDay, sayGrams, sayMinuteOfDay, sayRange, spaced } from './numbers.ts'

export interface Teller {
  today: number
  /** Name of a person by id. */
  who: (personId: string) => string
  clock: (iso: string) => string
  /** "Royal python, Adult" */
  stage: (sheet: string, stage: string) => string
  /** "Damp hide (Moist floor, or dry floor with a damp hide?)" */
  school: (sheet: string, school: string, option: string) => string
}

/** Where a line of a plan comes from. */
export function saySource(source: Source, { today, who, stage, school }: Teller): string {
  switch (source.from) {
    case 'sheet':
      return `Care sheet: ${stage(source.sheet, source.stage)}.`
    case 'school':
      return `School in force here: ${school(source.sheet, source.school, source.option)}`
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

function sayRule(reason: Extract<Reason, { rule: string }>): string {
  switch (reason.rule) {
    case 'cadence':
      return `The plan: ${terms.cadence(reason.cadence)}.`
    case 'offerAgain':
      return `After a refusal it is offered again in ${reason.days} days.`
    case 'window':
      return `Best between ${sayMinuteOfDay(reason.from)} and ${sayMinuteOfDay(reason.until)}.`
    case 'amount':
      return sayAmount(reason.amount)
    case 'supplement':
      return saySupplement(reason.supplement)
    case 'weeklyCap':
      return `${reason.item}: at most ${reason.cap} in 7 days, offered ${reason.offers}.`
    case 'minGap':
      return `${reason.item}: not again within ${reason.days} days.`
    case 'hold': {
      const usual = reason.days === undefined ? '' : ` usually ${reason.days} days;`
      const worry = reason.worryAfter === undefined ? '' : ` somebody should look after ${reason.worryAfter}.`
      return `${words.hold[reason.hold]}:${usual}${worry || ' over when they are.'}`
    }
    case 'refusals':
      return `${reason.toWorry} refusals in a row are a worry here.`
    case 'unseen':
      return `Not seen for ${reason.days} days is a worry for this kind.`
    case 'retainedSkin':
      return reason.days === 0
        ? 'Skin that stays on is acted on at once in this kind.'
        : `Skin still on after ${reason.days} days has to be acted on.`
    case 'condition':
      return `3 is right. From 4 up and 2 down the interval or the portion changes by ${reason.step * 100} %; a senior decides.`
    case 'heldFloor':
      return `Kept ${reason.days} days, looked into every ${reason.checkEvery}: it may hide ${reason.hides}.`
  }
}

function sayFact(reason: Extract<Reason, { fact: string }>, teller: Teller): string {
  const { today, who, clock } = teller
  const on = (day: number) => sayDay(day, today)
  switch (reason.fact) {
    case 'lastDone':
      return `Last ${on(reason.day)}, ${who(reason.by)}.`
    case 'gone':
      return `${reason.how === 'died' ? 'Died' : 'Left'} ${on(reason.day)}, recorded by ${who(reason.by)}.`
    case 'neverDone':
      return `Not done yet since ${sayDate(reason.since, today)}.`
    case 'refused':
      return `Refused ${on(reason.day)}, ${reason.inRow} in a row${reason.why ? `: ${reason.why}` : ''}.`
    case 'notOffered':
      return `Not offered ${on(reason.day)}, ${who(reason.by)}${reason.why ? `: ${reason.why}` : ''}.`
    case 'bowl':
      return `Bowl ${reason.found} ${on(reason.day)}.`
    case 'event':
      return `${reason.event === 'meal' ? 'Fed' : reason.event === 'shed' ? 'Shed' : reason.event} ${on(reason.day)}.`
    case 'noEvent':
      return `No ${reason.event} on record.`
    case 'sign':
      return `${terms.stage[reason.stage]} seen ${on(reason.day)}, ${who(reason.by)}.`
    case 'arrived':
      return `Arrived ${on(reason.day)}.`
    case 'moved':
      return `Moved ${on(reason.day)}.`
    case 'setBy': {
      const until = reason.until === null ? '' : ` Until ${sayDate(reason.until, today)}.`
      return `${who(reason.by)}, ${on(reason.day)}: ${reason.reason}${until}`
    }
    case 'weight': {
      const aside = reason.suspects > 0 ? `, ${reason.suspects} set aside as suspect` : ''
      return `${sayGrams(reason.grams)} on ${sayDate(reason.day, today)}, smoothed over ${reason.readings} weighings${aside}.`
    }
    case 'noWeight':
      return 'No weight on record yet.'
    case 'size':
      return `${terms.part[reason.part]} ${reason.mm} mm on ${sayDate(reason.day, today)}.`
    case 'noSize':
      return `No ${terms.part[reason.part]} on record: the smallest size.`
    case 'leftovers':
      return `${Math.round(reason.fraction * 100)} % was left of ${sayGrams(reason.grams)}.`
    case 'cleared':
      return `${reason.inRow} portions of ${sayGrams(reason.grams)} in a row were cleared.`
    case 'sameItem':
      return `${reason.item} longest ago: ${on(reason.lastDay)}.`
    case 'itemRefused':
      return `${reason.item} refused ${reason.inRow} times in a row.`
    case 'seen':
      return reason.day === null
        ? 'Never seen on record.'
        : `Last seen ${on(reason.day)}; ${reason.searches} looks since.`
    case 'fedBy':
      return `${who(reason.by)} fed at ${clock(reason.at)}.`
    case 'observed':
      return `${who(reason.by)}, ${on(reason.day)}.`
    case 'count':
      return `${who(reason.by)} found ${reason.found} of ${reason.expected} ${on(reason.day)}.`
    case 'vacated':
      return `Left empty ${on(reason.day)}, recorded by ${who(reason.by)}.`
    case 'floorKept':
      return `Put aside ${on(reason.day)} by ${who(reason.by)}: ${reason.where}.`
    case 'reached':
      return `${spaced(Math.round(reason.has))} ${terms.trigger[reason.trigger]}; the stage ends at ${spaced(reason.needs)}.`
    case 'condition':
      return `Scored ${reason.score} by ${who(reason.by)} ${on(reason.day)}.`
  }
}

/** One reason as a sentence. */
export function sayReason(reason: Reason, teller: Teller): string {
  if ('fact' in reason) return sayFact(reason, teller)
  if ('rule' in reason) return sayRule(reason)
  return saySource(reason.source, teller)
}
