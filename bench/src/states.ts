import type { Entry } from '@kobrin/core'
import { isOpen, replay } from '@kobrin/core'
import { lives } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server/library'
import type { Figure } from './figures.ts'

const RESIDENTS = 10_000
const FIRST_DAY = 20_000
const YEAR = 365
const YEARS = 5
const SEEDS = [11, 1787]
/** Of a hundred that live here, how many go in a year, each followed by another. */
const GO_A_YEAR = 0.25
/** Days for which a screen is handed those that are gone. */
const LATELY = 60

function bytesAfter(entries: readonly Entry[], days: number): number {
  const told = entries.filter(({ day }) => day < FIRST_DAY + days)
  return Buffer.byteLength(JSON.stringify(replay('resident', told)))
}

function died(life: { entries: Entry[] }, day: number): Entry[] {
  const last = life.entries.at(-1)
  if (!last) return []
  const at = {
    occurredAt: new Date(day * 86_400_000).toISOString(),
    day,
    uid: `${last.uid.slice(0, -4)}dead`,
  }
  const fact = { ...last, ...at, kind: 'died', payload: { disposal: 'frozen' } } as Entry
  return [...life.entries.filter((entry) => entry.day < day), fact]
}

/** What a screen is handed at its start of a house of ten thousand, after one year and after five: of those that live
 * there, and of those that were there of late. */
export function stateFigures(): Figure[] {
  const all = SEEDS.flatMap((seed) => [
    ...lives({ sheets: readLibrary(), seed, firstDay: FIRST_DAY, days: YEARS * YEAR, troubles: [null] }),
  ])
  const mean = (sizes: readonly number[]) => sizes.reduce((sum, size) => sum + size, 0) / sizes.length
  const [one, five] = [YEAR, YEARS * YEAR].map((days) =>
    mean(all.map(({ entries }) => bytesAfter(entries, days))),
  )
  const gone = all.map((life) => replay('resident', died(life, FIRST_DAY + YEAR)))
  const closed = gone.filter((state) => !isOpen('resident', state)).length / gone.length
  const goneBytes = mean(gone.map((state) => Buffer.byteLength(JSON.stringify(state))))
  /** Those who went stay in the answer for a while, or for good where they are not closed. */
  const after = (years: number) => {
    const wentLately = RESIDENTS * GO_A_YEAR * (LATELY / YEAR)
    const neverClosed = RESIDENTS * GO_A_YEAR * years * (1 - closed)
    return (wentLately + neverClosed) * goneBytes
  }
  const sizes = [(one ?? NaN) * RESIDENTS + after(1), (five ?? NaN) * RESIDENTS + after(YEARS)] as const
  const mb = (bytes: number) => (bytes / 1024 / 1024).toFixed(1)
  return [
    {
      name: 'states-5-years-to-1',
      value: sizes[1] / sizes[0],
      limit: 1.2,
      about: `${mb(sizes[0])} MB and ${mb(sizes[1])} MB of ${RESIDENTS} residents, from ${all.length} lives`,
    },
  ]
}
