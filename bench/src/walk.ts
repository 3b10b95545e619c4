import type { Duty, Plan, ResidentState, WalkResident } from '@kobrin/core'
import { isPlan, planOf, replay, walk } from '@kobrin/core'
import { collection } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { inTurn, median, ms } from './figures.ts'

const DUTIES = 8
const LIVED = 500
const DAYS = 45
const ROUNDS = 9

function withDuties(plan: Plan): Plan {
  const duties: Duty[] = plan.duties.slice(0, DUTIES)
  for (let index = 0; duties.length < DUTIES; index += 1) {
    const model = plan.duties[index % plan.duties.length]
    if (model) duties.push({ ...model, id: `${model.id} ${index}` })
  }
  return { ...plan, duties }
}

/** Residents that have lived under their keepers, each with a plan of exactly eight duties. */
function population(count: number, nowMs: number): { day: number; residents: WalkResident[] } {
  const sheets = readLibrary()
  const site = collection({ sheets, residents: LIVED, days: DAYS, nowMs })
  const day = Math.floor(nowMs / 86_400_000)
  const histories = new Map<string, typeof site.entries>()
  for (const entry of site.entries) {
    const history = histories.get(entry.subject)
    if (history) history.push(entry)
    else histories.set(entry.subject, [entry])
  }
  const rows = {
    sheets: new Map(sheets.map((sheet) => [sheet.id, sheet])),
    schools: {},
    overrides: new Map(),
  }
  const lived = site.residents.map(({ id, ...register }) => {
    const plan = planOf(rows, { id, register }, day)
    if (!isPlan(plan)) throw new Error(`No plan for ${register.sheet}.`)
    const state = replay('resident', histories.get(id) ?? [])
    return { plan: withDuties(plan), state: JSON.stringify(state) }
  })
  const residents = Array.from({ length: count }, (_, index): WalkResident => {
    const { plan, state } = lived[index % lived.length] as (typeof lived)[number]
    return {
      id: `resident ${index}`,
      plan,
      // Each with objects of its own, as a server or a browser would hold them.
      state: JSON.parse(state) as ResidentState,
      place: {
        room: `room ${Math.floor(index / 2000)}`,
        roomOrder: Math.floor(index / 2000),
        bay: `bay ${Math.floor(index / 300)}`,
        bayOrder: Math.floor(index / 300),
        row: Math.floor(index / 20) % 15,
        column: index % 20,
        barrier: 1,
      },
    }
  })
  return { day, residents }
}

export async function walkFigures(): Promise<Figure[]> {
  const { day, residents } = population(10_000, Date.UTC(2026, 4, 12, 18))
  const some = residents.slice(0, 1000)
  const json = JSON.stringify(residents.map(({ state }) => state))
  const parse = () => JSON.parse(json) as unknown
  const all = await inTurn(ROUNDS, () => walk({ day, residents }), parse)
  // Another day each time: nothing that was judged before stands.
  let later = day
  const anew = await inTurn(ROUNDS, () => walk({ day: (later += 1), residents }), parse)
  const few = await inTurn(
    ROUNDS,
    () => walk({ day, residents }),
    () => {
      for (let times = 0; times < 10; times += 1) walk({ day, residents: some })
    },
  )
  const walked = median(all.one)
  return [
    {
      name: 'walk-10000x8-over-parse',
      value: walked / median(all.other),
      limit: 1.3,
      about: `walk ${ms(walked)}, JSON.parse of the same states ${ms(median(all.other))} (${(json.length / 1e6).toFixed(1)} MB)`,
    },
    {
      name: 'judged-anew-10000x8-over-parse',
      value: median(anew.one) / median(anew.other),
      limit: 2.8,
      about: `a new day ${ms(median(anew.one))}, JSON.parse of the same states ${ms(median(anew.other))}`,
    },
    {
      name: 'walk-per-resident-10000-over-1000',
      value: median(few.one) / median(few.other),
      limit: 1.3,
      about: `per resident ${(median(few.one) / 10).toFixed(1)} µs against ${(median(few.other) / 10).toFixed(1)} µs`,
    },
  ]
}
