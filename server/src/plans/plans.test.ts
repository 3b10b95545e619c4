import type { Change, PlanBook, Site } from '@kobrin/contract'
import { addressOf, OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import type { Plan, PlanRows } from '@kobrin/core'
import { civil, isPlan, planOf as planIn } from '@kobrin/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { ZONE } from '../testing/smallSite.ts'

const GECKO = 'leopard-gecko'
const TODAY = civil(Date.now(), ZONE).day

let house: OpenApp
let site: SmallSite
let senior: Client

beforeAll(async () => {
  house = await openApp('seniorKeeper')
  site = house.site
  senior = house.as
})
afterAll(() => house.close())

const residentAt = (index: number) => site.residents[index]?.id ?? ''

async function post(url: string, body: object) {
  return senior.call({ method: 'POST', url, body })
}

async function planOf(index: number): Promise<Plan> {
  const book = (await senior.call({ method: 'GET', url: ROUTES.planBook.url })).json<PlanBook>()
  const signed = new Map(book.overrides.map(({ target }) => [target, [] as typeof book.overrides]))
  for (const row of book.overrides) signed.get(row.target)?.push(row)
  const rows: PlanRows = {
    sheets: new Map(book.sheets.map((sheet) => [sheet.id, sheet])),
    schools: book.schools,
    overrides: new Map([...signed].map(([target, list]) => [target, list.map(({ change }) => change)])),
  }
  const register = { sheet: GECKO, stage: 'adult', schools: {} }
  const plan = planIn(rows, { id: residentAt(index), register }, TODAY)
  if (!isPlan(plan)) throw new Error('No plan.')
  return plan
}

async function lastChange(): Promise<Change | undefined> {
  const url = addressOf(ROUTES.changes.url, {}, { since: TODAY })
  return (await senior.call({ method: 'GET', url })).json<{ changes: Change[] }>().changes.at(-1)
}

const feedEvery = (plan: Plan) => {
  const cadence = plan.duties.find(({ id }) => id === 'feed')?.cadence
  return cadence?.type === 'every' ? cadence.days : null
}

describe('a school', () => {
  const choice = { sheet: GECKO, school: 'uvb', option: 'none', reason: 'No tubes in this room' }

  it('changes the plan of everyone on the sheet at once, and is in the handover of the day', async () => {
    expect((await post(OFFICE_ROUTES.schools.url, choice)).statusCode).toBe(204)
    const { duties } = await planOf(0)
    const feed = duties.find(({ id }) => id === 'feed')
    // Seldom D3 cannot stand without ultraviolet.
    expect(feed?.source).toMatchObject({
      from: 'school',
      school: 'd3',
      option: 'always',
      insteadOf: { option: 'sometimes' },
    })
    expect(feed?.supplements).toContainEqual({
      name: 'calcium with D3',
      everyDays: 2,
      insteadOf: 'calcium',
    })
    expect(await lastChange()).toMatchObject({
      what: { kind: 'school', sheet: GECKO, school: 'uvb', option: 'none' },
      by: site.person('seniorKeeper').id,
      reason: 'No tubes in this room',
    })
  })

  it('that is not on the sheet is refused, and nothing is recorded', async () => {
    const before = (await lastChange())?.seq
    const response = await post(OFFICE_ROUTES.schools.url, { ...choice, option: 'never' })
    expect(response.json()).toMatchObject({ code: 'unknown_school' })
    expect((await lastChange())?.seq).toBe(before)
  })
})

describe('a signed change', () => {
  const change = { patch: { id: 'feed', cadence: { type: 'every', days: 6, tolerance: 1 } } }

  it('holds for one resident until its day, with who and why, and can be ended', async () => {
    const signed = { ...change, resident: residentAt(2), until: TODAY + 30, reason: 'Fat tail' }
    expect((await post(ROUTES.signOverride.url, signed)).statusCode).toBe(204)
    const plan = await planOf(2)
    expect(feedEvery(plan)).toBe(6)
    expect(plan.duties.find(({ id }) => id === 'feed')?.source).toMatchObject({
      from: 'resident',
      reason: 'Fat tail',
      until: TODAY + 30,
    })
    expect(feedEvery(await planOf(3))).toBe(3)
    const end = { target: residentAt(2), number: 0, reason: 'Slim again' }
    expect((await post(ROUTES.endOverride.url, end)).statusCode).toBe(204)
    expect(feedEvery(await planOf(2))).toBe(3)
    expect(await lastChange()).toMatchObject({ what: { kind: 'ended', target: residentAt(2) } })
  })

  it('sets the hours of light and measures, within what a day and a box can have, and says so in words', async () => {
    const dim = (winterHours: [number, number]) => ({
      resident: residentAt(4),
      light: { winterHours },
      housing: { floorDepthMm: [80, 120] },
      reason: 'Wakes too early',
    })
    expect((await post(ROUTES.signOverride.url, dim([9, 25]))).statusCode).toBe(400)
    expect((await post(ROUTES.signOverride.url, dim([10, 9]))).statusCode).toBe(400)
    expect((await post(ROUTES.signOverride.url, dim([8, 9]))).statusCode).toBe(204)
    const { light, sources } = await planOf(4)
    expect(light?.winterHours).toEqual([8, 9])
    expect(sources?.['winterHours']).toMatchObject({ from: 'resident', reason: 'Wakes too early' })
    expect((await lastChange())?.what).toMatchObject({
      kind: 'override',
      change: { light: { winterHours: [8, 9] }, housing: { floorDepthMm: [80, 120] } },
    })
  })

  it('sets the climate of a zone, but never above the ceiling that harms', async () => {
    const hotter = (high: number) => ({
      sheet: GECKO,
      target: { zone: 'warm floor', celsius: [31, high] },
      reason: 'Cold draught from the door',
    })
    expect((await post(ROUTES.signOverride.url, hotter(40))).json()).toMatchObject({
      code: 'ceiling_below_target',
    })
    expect((await post(ROUTES.signOverride.url, hotter(34))).statusCode).toBe(204)
    const { targets } = await planOf(7)
    expect(targets.find(({ zone }) => zone === 'warm floor')).toMatchObject({
      celsius: [31, 34],
      ceilingCelsius: 36,
      source: { from: 'site', reason: 'Cold draught from the door' },
    })
  })

  it('has to change something, and has to say why', async () => {
    expect(
      (await post(ROUTES.signOverride.url, { ...change, resident: residentAt(2), reason: ' ' })).statusCode,
    ).toBe(400)
    const end = { target: residentAt(4), number: 7, reason: 'None' }
    expect((await post(ROUTES.endOverride.url, end)).json()).toMatchObject({ code: 'unknown_override' })
  })
})

describe('several at once', () => {
  it('who sign changes at the same time are all heard, each with a number of its own', async () => {
    const sign = (index: number) =>
      post(ROUTES.signOverride.url, {
        resident: residentAt(8),
        patch: { id: 'weigh', cadence: { type: 'every', days: 20 + index, tolerance: 2 } },
        reason: `Number ${index}`,
      })
    const answers = await Promise.all(Array.from({ length: 8 }, (_, index) => sign(index)))
    expect(answers.map(({ statusCode }) => statusCode)).toEqual(answers.map(() => 204))
    const book = (await senior.call({ method: 'GET', url: ROUTES.planBook.url })).json<PlanBook>()
    const numbers = book.overrides
      .filter(({ target }) => target === residentAt(8))
      .map(({ number }) => number)
    expect(numbers).toEqual([0, 1, 2, 3, 4, 5, 6, 7])
  })

  it('two changes of which each alone would do are judged together', async () => {
    const target = (zone: object) => ({
      resident: residentAt(9),
      target: { zone: 'warm floor', ...zone },
      reason: 'Draught',
    })
    expect((await post(ROUTES.signOverride.url, target({ celsius: [31, 35] }))).statusCode).toBe(204)
    const lower = await post(ROUTES.signOverride.url, target({ ceilingCelsius: 34 }))
    expect(lower.json()).toMatchObject({ code: 'ceiling_below_target' })
  })
})

describe('an enclosure', () => {
  it('is written down as it stands', async () => {
    const id = site.enclosures[0]?.id ?? ''
    const build = {
      layers: [{ material: 'coir', mm: 80 }],
      furniture: [{ what: 'hide' }],
      heaters: [{ what: 'Mat', thermostat: false }],
      lamps: [],
      lock: true,
      crew: [],
      parts: [{ what: 'Vent', defect: 'chewed' }],
    }
    const url = addressOf(ROUTES.keepEnclosure.url, { enclosureId: id })
    const body = { widthMm: 700, depthMm: 400, heightMm: 400, build }
    expect((await senior.call({ method: 'PUT', url, body })).statusCode).toBe(204)
    const told = (await senior.call({ method: 'GET', url: ROUTES.site.url })).json<Site>()
    expect(told.enclosures.find((one) => one.id === id)).toMatchObject({ widthMm: 700, build })
  })
})
