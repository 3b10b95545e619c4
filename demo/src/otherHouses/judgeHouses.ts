import type { Sheet } from '@kobrin/core'
import { computationsOver } from '@kobrin/core'
import type { SaidOn, Score } from './judgedHouse.ts'
import { judgeHouse } from './judgedHouse.ts'
import type { Matter } from './otherLives.ts'
import { otherLives } from './otherLives.ts'
import { HOUSES } from './ways.ts'

/** Three of eight lives have nothing the matter with them, some what looks like it, and the others each their trouble. */
const MATTERS: readonly Matter[] = [
  ...([null, null, null, 'lays', 'laysUnseen', 'seasonFast', 'moves', 'moody'] as const),
  ...(['wasting', 'overfed', 'stunted', 'offFood', 'stuckInSkin', 'signStays', 'gone'] as const),
]

export interface HouseScore extends Score {
  house: string
}

/** Every house, judged by what the computation says of lives it has never seen. `each`: lives told of each matter. */
export function judgeHouses(
  sheets: readonly Sheet[],
  { seed, each, firstDay }: { seed: number; each: number; firstDay: number },
): HouseScore[] {
  const byId = new Map(sheets.map((sheet) => [sheet.id, sheet]))
  const verdicts = computationsOver(byId).find(({ name }) => name === 'verdicts')
  if (!verdicts) throw new Error('There is no such computation.')
  const judge = (question: object) => verdicts.run(question) as { on: readonly SaidOn[] }
  return HOUSES.map((house) => ({
    house: house.name,
    ...judgeHouse(otherLives({ sheets, house, firstDay, days: 548, seed, each, matters: MATTERS }), judge),
  }))
}
