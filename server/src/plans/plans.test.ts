import type { PlanChange, Preview, Site } from '@kobrin/contract'
import { PATHS, pathWith } from '@kobrin/contract'
import type { Plan } from '@kobrin/core'
import { civil } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { z } from 'zod'
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
  const told = (await senior.call({ method: 'GET', url: PATHS.site })).json<Site>()
  const plan = told.plans[told.residents.find(({ id }) => id === residentAt(index))?.plan ?? '']
  if (!plan) throw new Error('No plan.')
  return plan
}

async function lastChange(): Promise<PlanChange | undefined> {
  const url = `${PATHS.planChanges}?since=${TODAY}`
  return (await senior.call({ method: 'GET', url })).json<{ changes: PlanChange[] }>().changes.at(-1)
}

const feedEvery = (plan: Plan) => {
  const cadence = plan.duties.find(({ id }) => id === 'feed')?.cadence
  return cadence?.type === 'every' ? cadence.days : null
}

describe('a school', () => {
  const choice = { sheet: GECKO, school: 'd3', option: 'always', reason: 'No tubes in this room' }

  it('changes the plan of everyone on the sheet at once, and is in the handover of the day', async () => {
    expect((await post(PATHS.schools, choice)).statusCode).toBe(204)
    const { duties } = await planOf(0)
    const feed = duties.find(({ id }) => id === 'feed')
    expect(feed?.source).toMatchObject({ from: 'school', school: 'd3', option: 'always' })
    expect(feed?.supplements?.[0]?.name).toBe('calcium with D3')
    expect(await lastChange()).toMatchObject({
      kind: 'school',
      sheet: GECKO,
      by: site.person('seniorKeeper').id,
      reason: 'No tubes in this room',
    })
  })

  it('of one resident outranks the site’s', async () => {
    await post(PATHS.schools, { ...choice, option: 'sometimes', resident: residentAt(1) })
    const supplements = async (index: number) =>
      (await planOf(index)).duties.find(({ id }) => id === 'feed')?.supplements?.[0]?.name
    expect(await supplements(1)).toBe('calcium')
    expect(await supplements(0)).toBe('calcium with D3')
  })

  it('that is not on the sheet is refused, and nothing is recorded', async () => {
    const before = (await lastChange())?.seq
    const response = await post(PATHS.schools, { ...choice, option: 'never' })
    expect(response.json()).toMatchObject({ code: 'unknown_school' })
    expect((await lastChange())?.seq).toBe(before)
  })
})

describe('a signed change', () => {
  const change = { patch: { id: 'feed', cadence: { type: 'every', days: 6, tolerance: 1 } } }

  it('is previewed over the next fourteen days before anybody signs it', async () => {
    const response = await post(PATHS.preview, { resident: residentAt(2), change })
    const { before, after } = response.json<z.output<typeof Preview>>()
    const fed = (days: typeof before) =>
      days.filter(({ tasks }) => tasks.some(({ duty }) => duty === 'feed')).map(({ day }) => day - TODAY)
    expect(before).toHaveLength(14)
    expect(fed(before)).toEqual([0, 3, 6, 9, 12])
    expect(fed(after)).toEqual([0, 6, 12])
    expect(feedEvery(await planOf(2))).toBe(3)
  })

  it('holds for one resident until its day, with who and why, and can be ended', async () => {
    const signed = { ...change, resident: residentAt(2), until: TODAY + 30, reason: 'Fat tail' }
    expect((await post(PATHS.overrides, signed)).statusCode).toBe(204)
    const plan = await planOf(2)
    expect(feedEvery(plan)).toBe(6)
    expect(plan.duties.find(({ id }) => id === 'feed')?.source).toMatchObject({
      from: 'resident',
      reason: 'Fat tail',
      until: TODAY + 30,
    })
    expect(feedEvery(await planOf(3))).toBe(3)
    const end = { target: residentAt(2), number: 0, reason: 'Slim again' }
    expect((await post(PATHS.endOverride, end)).statusCode).toBe(204)
    expect(feedEvery(await planOf(2))).toBe(3)
    expect(await lastChange()).toMatchObject({ kind: 'ended', resident: residentAt(2) })
  })

  it('sets the hours of light and measures, within what a day and a box can have, and says so in words', async () => {
    const dim = (winterHours: [number, number]) => ({
      resident: residentAt(4),
      light: { winterHours },
      housing: { floorDepthMm: [80, 120] },
      reason: 'Wakes too early',
    })
    expect((await post(PATHS.overrides, dim([9, 25]))).statusCode).toBe(400)
    expect((await post(PATHS.overrides, dim([10, 9]))).statusCode).toBe(400)
    expect((await post(PATHS.overrides, dim([8, 9]))).statusCode).toBe(204)
    const { light, sources } = await planOf(4)
    expect(light?.winterHours).toEqual([8, 9])
    expect(sources?.['winterHours']).toMatchObject({ from: 'resident', reason: 'Wakes too early' })
    expect((await lastChange())?.what).toBe('enclosure: floor depth; light: winter hours')
  })

  it('sets the climate of a zone, but never above the ceiling that harms', async () => {
    const hotter = (high: number) => ({
      sheet: GECKO,
      target: { zone: 'warm floor', celsius: [31, high] },
      reason: 'Cold draught from the door',
    })
    expect((await post(PATHS.overrides, hotter(40))).json()).toMatchObject({ code: 'ceiling_below_target' })
    expect((await post(PATHS.overrides, hotter(34))).statusCode).toBe(204)
    const { targets } = await planOf(7)
    expect(targets.find(({ zone }) => zone === 'warm floor')).toMatchObject({
      celsius: [31, 34],
      ceilingCelsius: 36,
      source: { from: 'site', reason: 'Cold draught from the door' },
    })
  })

  it('has to change something, and has to say why', async () => {
    expect(
      (await post(PATHS.overrides, { ...change, resident: residentAt(2), reason: ' ' })).statusCode,
    ).toBe(400)
    const end = { target: residentAt(4), number: 7, reason: 'None' }
    expect((await post(PATHS.endOverride, end)).json()).toMatchObject({ code: 'unknown_override' })
  })
})

describe('a stage', () => {
  const path = (index: number) => pathWith(PATHS.stage, { residentId: residentAt(index) })

  it('is confirmed by a person and changes the plan', async () => {
    expect((await post(path(5), { stage: 'juvenile', reason: 'Was put down as grown' })).statusCode).toBe(204)
    expect(await planOf(5)).toMatchObject({ stage: 'juvenile', next: { stage: 'adult' } })
  })

  it('that is not on the sheet is refused', async () => {
    expect((await post(path(5), { stage: 'egg', reason: 'No' })).json()).toMatchObject({
      code: 'unknown_stage',
    })
  })
})

describe('somebody new', () => {
  const id = uuidv7()
  let newcomer: object
  beforeEach(() => {
    newcomer = {
      id,
      name: 'Bramble',
      sheet: GECKO,
      stage: 'juvenile',
      count: null,
      sex: 'unknown',
      hatchedOn: TODAY - 60,
      enclosure: site.enclosures.at(-1)?.id,
      comes: 'expected',
      from: 'a rescue',
    }
  })

  it('gets the next number once, however often it is asked', async () => {
    expect((await post(PATHS.residents, newcomer)).json()).toEqual({ accession: '0013' })
    expect((await post(PATHS.residents, newcomer)).json()).toEqual({ accession: '0013' })
    const url = pathWith(PATHS.record, { residentId: id })
    const { entries } = (await senior.call({ method: 'GET', url })).json<{ entries: { kind: string }[] }>()
    expect(entries.map(({ kind }) => kind)).toEqual(['expected'])
  })

  it('is refused where the place or the stage does not exist', async () => {
    const elsewhere = { ...newcomer, id: uuidv7(), enclosure: uuidv7() }
    expect((await post(PATHS.residents, elsewhere)).json()).toMatchObject({ code: 'unknown_place' })
    const egg = { ...newcomer, id: uuidv7(), stage: 'egg' }
    expect((await post(PATHS.residents, egg)).json()).toMatchObject({ code: 'unknown_stage' })
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
    const url = pathWith(PATHS.enclosure, { enclosureId: id })
    const body = { widthMm: 700, depthMm: 400, heightMm: 400, build }
    expect((await senior.call({ method: 'PUT', url, body })).statusCode).toBe(204)
    const told = (await senior.call({ method: 'GET', url: PATHS.site })).json<Site>()
    expect(told.enclosures.find((one) => one.id === id)).toMatchObject({ widthMm: 700, build })
  })
})
