import type { Rest, RestObstacle } from '@kobrin/core'
import { words } from './en.ts'
import { sayDate, sayGrams } from './numbers.ts'

function sayObstacle(obstacle: RestObstacle, today: number): string {
  switch (obstacle.code) {
    case 'noRest':
      return 'no winter rest is planned for it: too young for one, or the side chosen here is none'
    case 'light':
      return `it weighs ${sayGrams(obstacle.grams)}, and below ${sayGrams(obstacle.least)} none should rest`
    case 'thin':
      return `body condition ${obstacle.score} on ${sayDate(obstacle.day, today)}: nothing to live on`
    case 'unwell':
      return `unwell on ${sayDate(obstacle.day, today)}: ${obstacle.text}`
    case 'lately':
      return `it arrived on ${sayDate(obstacle.arrivedOn, today)}, and is not known well enough before ${obstacle.days} days`
    case 'unweighed':
      return obstacle.day === null
        ? 'it was never weighed'
        : `last weighed on ${sayDate(obstacle.day, today)}; it has to be within ${obstacle.within} days`
    case 'ateLately':
      return `it ate on ${sayDate(obstacle.day, today)}; what is left in the gut rots in the cold, so no food for ${obstacle.days} days before`
    case 'otherwise':
      return `it is held: ${words.hold[obstacle.hold].toLowerCase()}`
  }
}

/** "it weighs 480 g, and below 600 g none should rest; it was never weighed" */
export function sayObstacles(obstacles: readonly RestObstacle[], today: number): string {
  return obstacles.map((one) => sayObstacle(one, today)).join('; ')
}

/** What a sheet asks of a winter rest. */
export function sayRest({
  fastDays,
  leastGrams,
  settledDays,
  weighedWithin,
  stopAtLoss,
  stopAtUrine,
  wake,
}: Rest): string {
  return [
    ...(fastDays > 0 ? [`No food for ${fastDays} days before.`] : []),
    ...(leastGrams === undefined ? [] : [`None below ${sayGrams(leastGrams)}.`]),
    `None that came less than ${settledDays} days ago.`,
    ...(stopAtLoss === undefined ? [] : [`Weighed within ${weighedWithin} days, also while it rests.`]),
    ...(stopAtLoss === undefined
      ? []
      : [`Woken when ${Math.round(stopAtLoss * 100)} % of its weight is gone.`]),
    ...(stopAtUrine ? ['Woken when it passes water.'] : []),
    `To wake it: ${wake.join('; ')}.`,
  ].join(' ')
}
