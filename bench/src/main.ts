import { fileURLToPath } from 'node:url'
import type { House } from '@kobrin/server'
import { startHouse } from '@kobrin/server'
import { appendFigures } from './append.ts'
import { auditFigures } from './audit.ts'
import type { Figure } from './figures.ts'
import { holds, line } from './figures.ts'
import { backupFigures } from './backup.ts'
import { bringInFigures } from './bringIn.ts'
import { feedsFigures } from './feeds.ts'
import { halfSentFigures } from './halfSent.ts'
import { houseFigures } from './houses.ts'
import { killFigures } from './kill.ts'
import { lateFigures } from './late.ts'
import { lifelineFigures } from './lifeline.ts'
import { listFigures } from './lists.ts'
import { loadFigures } from './load.ts'
import { memoryFigures } from './memory.ts'
import { largeFigures, pageFigures } from './pages.ts'
import { recordFigures } from './record.ts'
import { refoldFigures } from './refold.ts'
import { siteFigures } from './site.ts'
import { sizeFigures } from './size.ts'
import { stateFigures } from './states.ts'
import { HOUSE_AT } from './sizes.ts'
import { stalledFigures } from './stalled.ts'
import { tapFigures } from './tap.ts'
import { verdictFigures } from './verdicts.ts'
import { walkFigures } from './walk.ts'

const HOUSE = fileURLToPath(new URL('./house.ts', import.meta.url))

const benches: Record<string, (house: () => Promise<House>) => Figure[] | Promise<Figure[]>> = {
  size: () => [...sizeFigures(), ...stateFigures()],
  walk: walkFigures,
  verdicts: verdictFigures,
  houses: houseFigures,
  record: async (house) => recordFigures(await house()),
  late: async (house) => lateFigures(await house()),
  site: siteFigures,
  stalled: stalledFigures,
  append: async (house) => appendFigures(await house()),
  load: async (house) => loadFigures(await house()),
  feeds: async (house) => feedsFigures(await house()),
  halfSent: async (house) => halfSentFigures(await house()),
  memory: memoryFigures,
  pages: async (house) => pageFigures(await house()),
  large: largeFigures,
  lists: listFigures,
  lifeline: async (house) => lifelineFigures(await house()),
  tap: async (house) => tapFigures(await house()),
  bringIn: async (house) => bringInFigures(await house()),
  kill: killFigures,
  backup: backupFigures,
  refold: refoldFigures,
  audit: async () => {
    // What it measures with keeps its own time, so the house does too.
    const house = await startHouse(HOUSE, { startsAt: Date.now() })
    return auditFigures(house).finally(() => house.close())
  },
}
/** One fetches what it measures with, two take a while to fill their house: only by name. */
const BY_NAME = ['audit', 'backup', 'refold']

const wanted = process.argv.slice(2)
const unknown = wanted.find((name) => !(name in benches))
if (unknown) {
  console.error(`There is no bench "${unknown}". Known: ${Object.keys(benches).join(', ')}.`)
  process.exit(2)
}

const houses: Promise<House>[] = []
function open(): Promise<House> {
  const [house = startHouse(HOUSE, { startsAt: HOUSE_AT })] = houses
  houses[0] = house
  return house
}
const figures: Figure[] = []
try {
  for (const [name, measure] of Object.entries(benches)) {
    if (wanted.length > 0 ? !wanted.includes(name) : BY_NAME.includes(name)) continue
    for (const figure of await measure(open)) {
      figures.push(figure)
      console.log(line(figure))
    }
  }
} finally {
  for (const house of houses) await (await house).close()
}
process.exitCode = figures.every(holds) ? 0 : 1
