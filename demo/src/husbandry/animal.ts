import type { Day } from '@kobrin/core'
import type { Chance } from '../chance.ts'
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
}

export function newAnimal(biology: Biology, day: Day, chance: Chance): Animal {
  const { adultGrams = 0, youngGrams = 0, skin } = biology
  const skinDay = skin ? day + Math.round(chance.between(4, skin.every)) : null
  return {
    biology,
    bodyGrams: youngGrams + (adultGrams - youngGrams) * chance.between(0, 0.35),
    gutGrams: 0,
    skinDay,
    signsFrom: skinDay === null || !skin ? null : skinDay - skin.signDays,
    appetite: Math.min(0.99, biology.appetite * chance.normal(1, 0.05)),
  }
}

/** A day passes: the gut empties, the body grows if it was fed. */
export function liveADay(animal: Animal, fedLately: boolean, chance: Chance): void {
  const { adultGrams, growthPerDay = 0 } = animal.biology
  animal.gutGrams *= Math.exp(-1 / GUT_DAYS)
  if (adultGrams === undefined) return
  const toGo = adultGrams * 1.02 - animal.bodyGrams
  const growth = fedLately ? toGo * growthPerDay : -animal.bodyGrams * 0.0008
  animal.bodyGrams += growth * chance.between(0.4, 1.6)
}

export function losesSkin(animal: Animal, chance: Chance): void {
  const { skin } = animal.biology
  if (!skin || animal.skinDay === null) return
  animal.skinDay += Math.max(skin.signDays + 2, Math.round(chance.normal(skin.every, skin.spread)))
  animal.signsFrom = animal.skinDay - skin.signDays
}

/** Whether it eats what is put before it. */
export function eats(animal: Animal, day: Day, chance: Chance): boolean {
  const closed = animal.signsFrom !== null && day >= animal.signsFrom - 1
  return chance.happens(closed ? 0.15 : animal.appetite)
}

/** What the balance shows, gut and wriggling included. */
export function onTheBalance(animal: Animal, chance: Chance): number {
  const grams = (animal.bodyGrams + animal.gutGrams) * chance.normal(1, 0.008)
  return grams >= 100 ? Math.round(grams) : Math.round(grams * 10) / 10
}
