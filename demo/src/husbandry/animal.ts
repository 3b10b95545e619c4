import type { Day } from '@kobrin/core'
import type { Chance } from '../chance.ts'
import type { Trouble } from './trouble.ts'
import type { Biology } from './biology.ts'

/** Days a meal takes to leave the gut, as the time constant of an exponential. */
const GUT_DAYS = 2.5

/** The animal itself, of which the record only hears through its keepers. */
export interface Animal {
  biology: Biology
  /** Without what is in the gut. */
  bodyGrams: number
  gutGrams: number
  /** The day the skin next comes off. */
  skinDay: Day | null
  /** From the first sign to the skin coming off, it mostly will not eat. */
  signsFrom: Day | null
  appetite: number
  /** Water and fat that come and go, in ln grams. */
  reserve: number
  trouble: Trouble | null
  /** Eats nothing for now, as its kind may. */
  fasts?: boolean
}

export function newAnimal(
  biology: Biology,
  day: Day,
  chance: Chance,
  trouble: Trouble | null = null,
): Animal {
  const { adultGrams = 0, youngGrams = 0, skin } = biology
  const skinDay = skin ? day + Math.round(chance.between(4, skin.every)) : null
  return {
    biology,
    bodyGrams: youngGrams + (adultGrams - youngGrams) * chance.between(0, 0.35),
    gutGrams: 0,
    skinDay,
    signsFrom: skinDay === null || !skin ? null : skinDay - skin.signDays,
    appetite: Math.min(0.99, biology.appetite * chance.normal(1, 0.05)),
    reserve: 0,
    trouble,
  }
}

/** Whether a trouble has begun. */
export function hasTrouble({ trouble }: Animal, day: Day, ...kinds: Trouble['kind'][]): boolean {
  return trouble !== null && day >= trouble.from && kinds.includes(trouble.kind)
}

/** ln grams that an animal gains in a day, by Gompertz's curve while it eats. */
function gainInADay(animal: Animal, day: Day, fedLately: boolean): number {
  const { biology, bodyGrams, trouble } = animal
  const { adultGrams = bodyGrams, growthPerDay = 0 } = biology
  if (trouble && hasTrouble(animal, day, 'wasting')) return -trouble.aWeek / 7
  if (hasTrouble(animal, day, 'stunted')) return 0
  const natural = fedLately ? Math.log((adultGrams * 1.02) / bodyGrams) * growthPerDay : WITHOUT_FOOD
  if (trouble && hasTrouble(animal, day, 'overfed')) return Math.max(trouble.aWeek / 7, natural * OVERFED)
  return natural
}

/** An overfed one grows so many times as fast as it would. */
const OVERFED = 2.5
const WITHOUT_FOOD = -0.0006
/** How the reserves wander: by so much a day, coming back within so many days. */
const RESERVE = { sd: 0.004, days: 25 }

/** A day passes: the gut empties, the body grows if it was fed. */
export function liveADay(animal: Animal, day: Day, fedLately: boolean, chance: Chance): void {
  animal.gutGrams *= Math.exp(-1 / GUT_DAYS)
  if (animal.biology.adultGrams === undefined) return
  animal.reserve += chance.normal(0, RESERVE.sd) - animal.reserve / RESERVE.days
  animal.bodyGrams *= Math.exp(gainInADay(animal, day, fedLately) * chance.between(0.4, 1.6))
}

export function losesSkin(animal: Animal, chance: Chance): void {
  const { skin } = animal.biology
  if (!skin || animal.skinDay === null) return
  animal.skinDay += Math.max(skin.signDays + 2, Math.round(chance.normal(skin.every, skin.spread)))
  animal.signsFrom = animal.skinDay - skin.signDays
}

/** What is left of the appetite of one that wastes away. */
const UNWELL = 0.75

/** Whether it eats what is put before it. */
export function eats(animal: Animal, day: Day, chance: Chance): boolean {
  if (hasTrouble(animal, day, 'offFood') || animal.fasts) return chance.happens(0.03)
  const closed = animal.signsFrom !== null && day >= animal.signsFrom - 1
  const appetite = hasTrouble(animal, day, 'wasting') ? animal.appetite * UNWELL : animal.appetite
  return chance.happens(closed ? 0.15 : appetite)
}

/** What the balance shows, gut and wriggling included. */
export function onTheBalance(animal: Animal, chance: Chance): number {
  const grams = (animal.bodyGrams * Math.exp(animal.reserve) + animal.gutGrams) * chance.normal(1, 0.008)
  return grams >= 100 ? Math.round(grams) : Math.round(grams * 10) / 10
}
