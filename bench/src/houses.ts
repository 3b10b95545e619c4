import { judgeHouses } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server/library'
import type { Figure } from './figures.ts'

const FIRST_DAY = 20_000
const SEED = 77
const EACH = 8

/** What is judged of lives in houses that keep their records in ways that disagree with each other and with the
 * simulator of the demo: each house for itself, so that the limits hold on the worst of them. */
export function houseFigures(): Figure[] {
  return judgeHouses(readLibrary(), { seed: SEED, each: EACH, firstDay: FIRST_DAY }).flatMap((score) => {
    const { house, found, wrongAct, wrongWatch, slips, kinds, months } = score
    const name = (what: string) => `houses-${what}-${house.replaceAll(' ', '-')}`
    return [
      { name: name('found'), value: found, limit: 0.9, atLeast: true as const, about: kinds },
      { name: name('slips'), value: slips, limit: 0.9, atLeast: true as const, about: 'named on their day' },
      { name: name('wrong-act'), value: wrongAct, limit: 1, about: `in 100 of ${months} resident-months` },
      {
        name: name('wrong-watch'),
        value: wrongWatch,
        limit: 6,
        about: `in 100 of ${months} resident-months`,
      },
    ]
  })
}
