import { fileURLToPath } from 'node:url'
import type { House } from '@kobrin/server'
import { startHouse } from '@kobrin/server'
import { appendFigures } from './append.ts'
import type { Figure } from './figures.ts'
import { holds, line } from './figures.ts'
import { killFigures } from './kill.ts'
import { lateFigures } from './late.ts'
import { recordFigures } from './record.ts'
import { siteFigures } from './site.ts'
import { sizeFigures } from './size.ts'
import { stalledFigures } from './stalled.ts'
import { tapFigures } from './tap.ts'
import { walkFigures } from './walk.ts'

const HOUSE = fileURLToPath(new URL('./house.ts', import.meta.url))
/** What is measured must not depend on the day on which it is measured. */
const STARTS_AT = Date.UTC(2026, 5, 16, 9, 30)

const benches: Record<string, (house: () => Promise<House>) => Figure[] | Promise<Figure[]>> = {
  size: sizeFigures,
  walk: walkFigures,
  record: async (house) => recordFigures(await house()),
  late: async (house) => lateFigures(await house()),
  site: siteFigures,
  stalled: stalledFigures,
  append: async (house) => appendFigures(await house()),
  tap: async (house) => tapFigures(await house()),
  kill: killFigures,
}

const wanted = process.argv.slice(2)
const unknown = wanted.find((name) => !(name in benches))
if (unknown) {
  console.error(`There is no bench "${unknown}". Known: ${Object.keys(benches).join(', ')}.`)
  process.exit(2)
}

const houses: Promise<House>[] = []
function open(): Promise<House> {
  const [house = startHouse(HOUSE, { startsAt: STARTS_AT })] = houses
  houses[0] = house
  return house
}
const figures: Figure[] = []
try {
  for (const [name, measure] of Object.entries(benches)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue
    for (const figure of await measure(open)) {
      figures.push(figure)
      console.log(line(figure))
    }
  }
} finally {
  for (const house of houses) await (await house).close()
}
process.exitCode = figures.every(holds) ? 0 : 1
