import { Readable } from 'node:stream'
import { setTimeout as sleep } from 'node:timers/promises'
import { OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import type { BringInHouse, ResidentState } from '@kobrin/core'
import {
  factsOfList,
  guessColumns,
  instantsIn,
  isoDay,
  NO_ANSWERS,
  understand,
  wordsOfHouse,
} from '@kobrin/core'
import type { House } from '@kobrin/server'
import { connect } from '@kobrin/server'
import Papa from 'papaparse'
import type { Figure } from './figures.ts'
import { median, ms, quantile, timed } from './figures.ts'
import { openSession, residentsOf } from './session.ts'
import { watering } from './waterings.ts'

const ROWS = 100_000

interface Living {
  id: string
  state: ResidentState
}

/** A year and more of weighings, as somebody would have kept them. */
function listOf(living: readonly Living[], today: number): string {
  const lines = Array.from({ length: ROWS }, (_, index) => {
    const one = living[index % living.length]
    const day = today - 1 - Math.floor(index / living.length)
    const grams = 40 + ((index * 7) % 200) / 10
    return `${one?.state.register?.name ?? ''};${isoDay(day)};${String(grams).replace('.', ',')}`
  })
  return ['Name;Date;Weight (g)', ...lines].join('\n')
}

function houseOf(living: readonly Living[], today: number): BringInHouse {
  return {
    residents: living.map(({ id, state }, index) => ({
      id,
      number: String(index),
      name: state.register?.name ?? '',
      sheet: state.register?.sheet ?? '',
      stage: state.register?.stage ?? '',
      place: null,
    })),
    sheets: [],
    boxes: [],
    boundsOf: () => undefined,
    now: { day: today, minute: 1439 },
    says: { longPast: 'Long ago', someFood: 'food' },
  }
}

function worked<T>(work: () => T): { took: number; made: T } {
  const from = performance.now()
  const made = work()
  return { took: performance.now() - from, made }
}

const BETWEEN_TAPS_MS = 50

/** How long taps took, one after the other, for as long as something else goes on. */
async function tapsBeside(work: Promise<unknown>, url: string, aheadMs: number): Promise<number[]> {
  const keeper = await openSession(url, 1)
  const subjects = residentsOf(keeper.site)
  const author = keeper.site.people[0]?.id ?? ''
  const took: number[] = []
  let goesOn = true
  const over = () => {
    goesOn = false
  }
  work.then(over, over)
  const isOn = () => goesOn
  while (isOn()) {
    const subject = subjects[(took.length * 7) % subjects.length] ?? ''
    const entries = [watering({ subject, author, atMs: Date.now() + aheadMs })]
    took.push(await timed(() => keeper.call('POST', ROUTES.append.url, { entries })))
    await sleep(BETWEEN_TAPS_MS)
  }
  keeper.close()
  return took
}

/** A list of 100 000 rows as it comes from a spreadsheet, until it is on record with its folds, against
 * LOAD DATA of the entries' rows alone. */
export async function bringInFigures({ url, database, aheadMs }: House): Promise<Figure[]> {
  const session = await openSession(url, 1)
  const { pool, close } = await connect(database, 2)
  const today = Math.floor((Date.now() + aheadMs) / 86_400_000)
  const { states } = JSON.parse(await session.call('GET', ROUTES.states.url)) as {
    states: Record<string, { family: string; state: ResidentState }>
  }
  const living = Object.entries(states).flatMap(([id, { family, state }]) =>
    family === 'resident' && state.register ? [{ id, state }] : [],
  )
  const text = listOf(living, today)
  const parsing = worked(() => Papa.parse<string[]>(text).data)
  const [headers = [], ...rows] = parsing.made
  const judging = worked(() => {
    const house = houseOf(living, today)
    const columns = guessColumns(headers, rows.slice(0, 400), wordsOfHouse(house)).map(({ column }) => column)
    const instantOf = instantsIn('Europe/London')
    const table = { rows, lines: rows.map((_, index) => index + 2) }
    const reading = { columns, house, answers: NO_ANSWERS, mended: new Map() }
    const { faulty } = understand(table, reading)
    if (faulty.length > 0) throw new Error(JSON.stringify(faulty[0]))
    return factsOfList(table, reading).map(({ moment, line: _, ...fact }) => ({
      ...fact,
      occurredAt: new Date(instantOf(moment)).toISOString(),
    }))
  })
  const facts = judging.made
  const from = performance.now()
  const bringing = session.call('POST', OFFICE_ROUTES.bringIn.url, { file: 'list.csv', facts })
  const taps = await tapsBeside(bringing, url, aheadMs)
  const answer = await bringing
  const keeping = performance.now() - from
  const { kept } = JSON.parse(answer) as { kept: number }
  if (kept !== facts.length)
    throw new Error(`Only ${kept} of ${facts.length} were kept: ${answer.slice(0, 300)}`)
  const [stored] = (await pool.query(
    `select concat_ws('\\t', subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, payload) as line
       from entry where written_at is not null`,
  )) as unknown as [{ line: string }[]]
  await pool.query('create table loaded like entry')
  const lines = stored.map(({ line }) => `${line}\n`)
  const loadFrom = performance.now()
  await pool.query({
    sql: `load data local infile 'rows' into table loaded fields terminated by '\\t' escaped by ''
      (subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, payload)`,
    infileStreamFactory: () => Readable.from([Buffer.from(lines.join(''))]),
  })
  const loading = performance.now() - loadFrom
  session.close()
  await close()
  const whole = parsing.took + judging.took + keeping
  return [
    {
      name: 'tap-p99-beside-a-list-ms',
      value: quantile(taps, 0.99),
      limit: 200,
      about: `${taps.length} taps about those on the list while it was written; median ${ms(median(taps))}, longest ${ms(Math.max(...taps))}`,
    },
    {
      name: 'bring-in-over-load-data',
      value: loading / whole,
      limit: 0.1,
      atLeast: true,
      about: `${ROWS} rows, ${facts.length} facts: parsing ${ms(parsing.took)}, judging ${ms(judging.took)}, folding and writing ${ms(keeping)}; LOAD DATA ${ms(loading)}`,
    },
  ]
}
