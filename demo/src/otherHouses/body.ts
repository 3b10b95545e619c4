import type { Chance } from '../chance.ts'
import type { GrowthLaw, Ways } from './ways.ts'

export interface Body {
  law: GrowthLaw
  /** Grams it grows towards, and days it takes for that. */
  grown: number
  days: number
  /** Without gut and reserves. */
  grams: number
  gut: number
  reserve: number
}

/** Grams gained in a day by one that eats enough. */
function gainOf({ law, grown, days, grams }: Body): number {
  if (grams >= grown) return 0
  switch (law) {
    case 'gompertz':
      return (4.2 / days) * grams * Math.log(grown / grams)
    case 'logistic':
      return (6 / days) * grams * (1 - grams / grown)
    case 'cubic':
      return (9 / days) * grams * (Math.cbrt(grown / grams) - 1)
    case 'straight':
      return Math.min(grown - grams, grown / days)
  }
}

export interface Day {
  /** Days since it ate, over the days from one meal to the next. */
  hungry: number
  /** ln grams a day besides growth; standing still takes the growth away. */
  drift: number
  growsBy: number
}

/** Without food a body lives on itself, slowly. */
const WITHOUT_FOOD = -0.0007

export function liveADay(
  body: Body,
  { gut, reserve }: Ways,
  { hungry, drift, growsBy }: Day,
  chance: Chance,
) {
  body.gut *= Math.exp(-1 / gut.days)
  body.reserve += chance.normal(0, reserve * 0.35) - body.reserve / 16
  if (hungry > 3) body.grams *= Math.exp(WITHOUT_FOOD)
  else body.grams += gainOf(body) * growsBy * chance.between(0.5, 1.5)
  body.grams *= Math.exp(drift)
}

/** What the balance shows. */
export function weightShown(body: Body, { step }: Ways, chance: Chance): number {
  const grams = (body.grams * Math.exp(body.reserve) + body.gut) * chance.normal(1, 0.006)
  return Math.max(step, Number((Math.round(grams / step) * step).toFixed(4)))
}
