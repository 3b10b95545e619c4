import type { LibrarySheet, SheetAnswer, SheetSummary } from '@kobrin/contract'
import { addressOf, OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import type { SmallSite } from '../testing/smallSite.ts'
import { renewLibrary } from './commands.ts'
import { writeSheetText } from './sheetText.ts'

const GECKO = 'leopard-gecko'

let house: OpenApp
let site: SmallSite
let senior: Client

beforeAll(async () => {
  house = await openApp('seniorKeeper')
  site = house.site
  senior = house.as
})
afterAll(() => house.close())

async function get<T>(url: string): Promise<T> {
  return (await senior.call({ method: 'GET', url })).json<T>()
}

const gecko = () => get<LibrarySheet>(addressOf(OFFICE_ROUTES.sheet.url, { sheetId: GECKO }))

async function keep(yaml: string, more: object = {}, sheetId = GECKO): Promise<SheetAnswer> {
  const url = addressOf(OFFICE_ROUTES.sheet.url, { sheetId })
  const response = await senior.call({ method: 'PUT', url, body: { yaml, why: 'Read again', ...more } })
  return response.json<SheetAnswer>()
}

const shipped = () => {
  const [sheet] = site.sheets
  if (!sheet) throw new Error('No sheet.')
  return sheet
}

describe('a care sheet of the site', () => {
  it('begins as shipped, with its history', async () => {
    const { version, history, differences } = await gecko()
    expect(version).toBe(1)
    expect(history).toMatchObject([{ version: 1, by: null, why: '' }])
    expect(differences).toEqual([])
    const { sheets } = await get<{ sheets: SheetSummary[] }>(OFFICE_ROUTES.library.url)
    expect(sheets).toMatchObject([{ id: GECKO, residents: 12, differs: 0 }])
  })

  it('names line and field of what is wrong, and keeps the old version in force', async () => {
    const { yaml } = await gecko()
    const answer = await keep(yaml.replace('ceilingCelsius: 36', 'ceilingCelsius: 31'))
    expect(answer).toMatchObject({ status: 'faulty', faults: [{ field: 'targets.0.ceilingCelsius' }] })
    if (answer.status !== 'faulty') return
    const line = yaml.split('\n').findIndex((text) => text.includes('ceilingCelsius: 36')) + 1
    expect(answer.faults[0]?.line).toBe(line)
    expect(answer.faults[0]?.what).toMatchObject({ code: 'ceilingTooLow', wanted: 33 })
    expect(await keep('common: [')).toMatchObject({ status: 'faulty' })
    expect((await gecko()).version).toBe(1)
  })

  it('asks about °F typed as °C, and takes it when it is meant', async () => {
    const { yaml } = await gecko()
    const fahrenheit = yaml
      .replace(/celsius:\n\s*- 30\n\s*- 33/, 'celsius: [ 86, 91 ]')
      .replace('ceilingCelsius: 36', 'ceilingCelsius: 97')
    const answer = await keep(fahrenheit)
    const read = (celsius: number) => ({ what: { code: 'fahrenheit', celsius } })
    expect(answer).toMatchObject({ status: 'asked', questions: [read(33), read(36)] })
    expect((await gecko()).version).toBe(1)
  })

  it('cannot take away the stage somebody lives in', async () => {
    const { yaml } = await gecko()
    const answer = await keep(
      yaml
        .replace('- id: adult\n', '- id: grown\n')
        .replace(/adult:\n {6}- 25/, 'grown:\n      - 25')
        .replaceAll(/^( +)- adult$/gm, '$1- grown'),
    )
    const names = ['Gecko 1', 'Gecko 2', 'Gecko 3']
    const what = { code: 'stageInUse', stage: 'adult', names, more: 9 }
    expect(answer).toMatchObject({ status: 'faulty', faults: [{ what }] })
  })

  it('is not read when it refers to itself without end', async () => {
    const bomb = [
      'a: &a [x, x]',
      ...'bcdefghij'
        .split('')
        .map((name, index) => `${name}: &${name} [*${'abcdefghij'[index]}, *${'abcdefghij'[index]}]`),
    ]
    expect(await keep(bomb.join('\n'))).toMatchObject({ status: 'faulty' })
  })

  it('is kept with author, reason and number, and can be read in every version', async () => {
    const { yaml } = await gecko()
    expect(await keep(`# Tried for a year\n${yaml.replace('hides: 2', 'hides: 3')}`)).toEqual({
      status: 'kept',
      version: 2,
    })
    const now = await gecko()
    expect(now.sheet.housing?.hides).toBe(3)
    expect(now.yaml).toContain('# Tried for a year')
    expect(now.history[0]).toMatchObject({
      version: 2,
      by: site.person('seniorKeeper').id,
      why: 'Read again',
    })
    expect(now.differences).toEqual([{ path: 'housing.hides', before: 2, after: 3 }])
    const first = await get<{ yaml: string }>(
      addressOf(OFFICE_ROUTES.sheetVersion.url, { sheetId: GECKO, version: 1 }),
    )
    expect(first.yaml).toContain('hides: 2')
  })

  it('does not overwrite what somebody else kept meanwhile', async () => {
    const { yaml } = await gecko()
    expect(await keep(yaml, { basedOn: 1 })).toEqual({ status: 'overtaken', version: 2 })
    expect((await gecko()).version).toBe(2)
  })

  it('cannot be kept under another name, and a new one can be added', async () => {
    const { yaml } = await gecko()
    expect(await keep(yaml, {}, 'other-gecko')).toMatchObject({ status: 'faulty', faults: [{ field: 'id' }] })
    const other = yaml.replace(`id: ${GECKO}`, 'id: other-gecko')
    expect(await keep(other, {}, 'other-gecko')).toEqual({ status: 'kept', version: 1 })
  })
})

describe('a newer shipped library', () => {
  const at = '2026-11-25T08:00:00.000Z'

  it('never overwrites what the site wrote, and shows the difference', async () => {
    const newer = { ...shipped(), unseenToWorry: 9 }
    expect(await renewLibrary(house.base.db, [newer], at)).toEqual({ renewed: [], kept: [GECKO] })
    const now = await gecko()
    expect(now.sheet.housing?.hides).toBe(3)
    expect(now.differences.map(({ path }) => path).sort()).toEqual(['housing.hides', 'unseenToWorry'])
    expect(now.shippedYaml).toContain('unseenToWorry: 9')
  })

  it('is taken up where nobody changed anything, and once only', async () => {
    const fresh = { ...shipped(), id: 'fresh-gecko' }
    await renewLibrary(house.base.db, [fresh], at)
    const newer = { ...fresh, unseenToWorry: 9 }
    expect((await renewLibrary(house.base.db, [newer], at)).renewed).toEqual(['fresh-gecko'])
    expect((await renewLibrary(house.base.db, [newer], at)).renewed).toEqual([])
    const { history } = await get<LibrarySheet>(
      addressOf(OFFICE_ROUTES.sheet.url, { sheetId: 'fresh-gecko' }),
    )
    expect(history.map(({ version }) => version)).toEqual([2, 1])
  })

  it('is not taken up where somebody lives in a stage it no longer has', async () => {
    const [adult] = shipped().stages.slice(-1)
    if (!adult) throw new Error('No stage.')
    await keep(writeSheetText({ ...shipped(), id: 'lone-gecko' }), {}, 'lone-gecko')
    const bare = { ...shipped(), stages: [{ ...adult, id: 'grown' }] }
    expect((await renewLibrary(house.base.db, [bare], at)).kept).toContain(GECKO)
    expect((await gecko()).sheet.stages.map(({ id }) => id)).toContain('adult')
    await renewLibrary(house.base.db, [{ ...shipped(), unseenToWorry: 9 }], at)
  })

  it('can be taken over by keeping its text', async () => {
    expect(await keep(writeSheetText({ ...shipped(), unseenToWorry: 9 }))).toMatchObject({ status: 'kept' })
    expect((await gecko()).differences).toEqual([])
  })
})

describe('a text that was written to stop the house', () => {
  const tangled =
    'a: &a [x,x,x,x,x,x,x,x,x]\n' +
    'bcdefgh'
      .split('')
      .map((at, index) => {
        const before = 'abcdefgh'[index] ?? 'a'
        return `${at}: &${at} [${Array.from({ length: 9 }, () => `*${before}`).join(',')}]`
      })
      .join('\n')

  it.each([
    ['nothing but ends', '}'.repeat(60_000)],
    ['nothing but beginnings', '['.repeat(60_000)],
    ['a text that refers to itself', tangled],
    [
      'indentation without end',
      Array.from({ length: 350 }, (_, depth) => `${' '.repeat(depth)}a:`).join('\n'),
    ],
  ])('is read apart and soon given up: %s', async (_what, yaml) => {
    const before = (await gecko()).version
    const keeping = keep(yaml)
    const first = await Promise.race([keeping, get<{ me: object }>(ROUTES.presence.url)])
    const answer = await keeping
    expect(answer).toMatchObject({ status: 'faulty' })
    expect(answer.status === 'faulty' && answer.faults.length).toBeLessThanOrEqual(20)
    // Others are answered while it is still being read.
    expect(first).toHaveProperty('me')
    expect((await gecko()).version).toBe(before)
  })

  it('is not even looked at when it is longer than any sheet', async () => {
    const url = addressOf(OFFICE_ROUTES.sheet.url, { sheetId: GECKO })
    const body = { yaml: 'x'.repeat(70_000), why: 'Longer' }
    expect((await senior.call({ method: 'PUT', url, body })).statusCode).toBe(400)
    const heavier = { yaml: 'x'.repeat(400_000), why: 'Longer still' }
    expect((await senior.call({ method: 'PUT', url, body: heavier })).statusCode).toBe(413)
  })
})
