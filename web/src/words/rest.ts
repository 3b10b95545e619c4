import type { RestObstacle } from '@kobrin/core'
import { words } from './en.ts'
import { sayGrams } from './measures.ts'
import { sayDate } from './numbers.ts'
import { t } from './said.ts'

function sayObstacle(obstacle: RestObstacle, today: number): string {
  switch (obstacle.code) {
    case 'noRest':
      return t('noWinterRestIs')
    case 'light':
      return t('itWeighsAndBelow', { grams: sayGrams(obstacle.grams), grams2: sayGrams(obstacle.least) })
    case 'thin':
      return t('bodyConditionOnNothing', { score: obstacle.score, date: sayDate(obstacle.day, today) })
    case 'unwell':
      return t('unwellOn', { date: sayDate(obstacle.day, today), text: obstacle.text })
    case 'lately':
      return t('itArrivedOnAnd', { date: sayDate(obstacle.arrivedOn, today), count: obstacle.days })
    case 'unweighed':
      return obstacle.day === null
        ? t('itWasNeverWeighed')
        : t('lastWeighedOnIt', { date: sayDate(obstacle.day, today), count: obstacle.within })
    case 'ateLately':
      return t('itAteOnWhat', { date: sayDate(obstacle.day, today), count: obstacle.days })
    case 'otherwise':
      return t('itIsHeld', { hold: words.hold[obstacle.hold].toLowerCase() })
  }
}

/** "it weighs 480 g, and below 600 g none should rest; it was never weighed" */
export function sayObstacles(obstacles: readonly RestObstacle[], today: number): string {
  return obstacles.map((one) => sayObstacle(one, today)).join('; ')
}
