import { randomUUID } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PassThrough } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import { OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import type { EntryKind } from '@kobrin/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import yauzl from 'yauzl'
import { ZipFile } from 'yazl'
import { buildApp } from '../app.ts'
import { rebuild } from '../entries/rebuild.ts'
import { checkRecord } from '../setup/check.ts'
import { client, signedIn } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { postedBy } from '../testing/requests.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import { newcomer } from '../testing/smallSite.ts'
import { moveIn } from './moveIn.ts'
import { takeOut } from './takeOut.ts'

const NOW = new Date()

let open: OpenApp
let folder: string

const at = (name: string) => join(folder, name)

async function post(fact: { subject: string; kind: EntryKind; payload: object }, change: object = {}) {
  const entry = { ...postedBy(open.site.person('curator').id, fact), ...change }
  const answer = await open.as.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [entry] } })
  expect(answer.json()).toMatchObject({ receipts: [{ status: 'accepted' }] })
  return entry
}

beforeAll(async () => {
  open = await openApp('curator')
  folder = await mkdtemp(join(tmpdir(), 'kobrin-take-out-'))
  const [one, two] = open.site.residents.map(({ id }) => id)
  const subject = one ?? ''
  const weighed = await post({ subject, kind: 'weighed', payload: { grams: 600 } })
  const to = { kind: 'weighed', payload: { grams: 60 } }
  await post({ subject, kind: 'corrected', payload: { target: weighed.uid, to, why: 'A zero too many' } })
  const slip = await post({ subject: two ?? '', kind: 'weighed', payload: { grams: 70 } })
  await post({ subject: two ?? '', kind: 'retracted', payload: { target: slip.uid, why: 'Another one' } })
  await post({ subject, kind: 'noted', payload: { text: '=cmd("x"), "said" he\nand went' } })
  await post({ subject: two ?? '', kind: 'moved', payload: { to: open.site.enclosures.at(-1)?.id ?? '' } })
  await post({ subject: open.site.enclosures[0]?.id ?? '', kind: 'readied', payload: { floor: 'cleaned' } })
  await post({
    subject: '01900000-0000-7000-8000-00000000abce',
    kind: 'floorKept',
    payload: { of: two ?? '', at: 'Larder' },
  })
  const hour = new Date(NOW.getTime() - 3_600_000).toISOString()
  await post(
    { subject, kind: 'noted', payload: { text: 'An hour ago' } },
    { occurredAt: hour, writtenAt: NOW.toISOString() },
  )
  await post({
    subject: '01900000-0000-7000-8000-00000000abcd',
    kind: 'registered',
    payload: { ...newcomer('Newcomer'), number: 'K-77' },
  })
  const bay = open.site.bays[0]
  const stands = { name: 'Bench', barrier: null, widthMm: null, version: 1 }
  const shelves = [
    open.site.enclosures.map(({ id, widthMm, depthMm, heightMm }) => ({ id, widthMm, depthMm, heightMm })),
  ]
  const url = OFFICE_ROUTES.keepBay.url.replace(':id', bay?.id ?? '')
  expect((await open.as.call({ method: 'PUT', url, body: { ...stands, shelves } })).statusCode).toBe(204)
  const picture = [randomUUID(), 'a'.repeat(64), open.site.person('curator').id]
  await open.base.pool.query("insert into photo values (?, ?, 1, 1, ?, '2026-06-01')", picture)
  const reason = 'Shy'
  const body = { resident: subject, housing: { hides: 3 }, reason }
  expect(
    (await open.as.call({ method: 'POST', url: ROUTES.signOverride.url, body })).statusCode,
  ).toBeLessThan(300)
})
afterAll(async () => {
  await open.close()
  await rm(folder, { recursive: true, force: true })
})

async function fileAt(name: string): Promise<string> {
  await takeOut(open.base.db, createWriteStream(at(name)), NOW)
  return at(name)
}

async function partsOf(file: string): Promise<Map<string, Buffer>> {
  const zip = await yauzl.openPromise(file, { autoClose: false })
  const parts = new Map<string, Buffer>()
  for await (const entry of zip.eachEntry())
    parts.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)))
  zip.close()
  return parts
}

async function textOf(file: string, part: string): Promise<string> {
  return (await partsOf(file)).get(part)?.toString() ?? ''
}

/** The same file with one part of it changed. */
async function rewritten(file: string, part: string, change: (text: string) => string): Promise<string> {
  const zip = new ZipFile()
  for (const [name, content] of await partsOf(file))
    zip.addBuffer(name === part ? Buffer.from(change(content.toString())) : content, name)
  zip.end()
  await writeFile(at('changed.zip'), await buffer(zip.outputStream))
  return at('changed.zip')
}

const COMPARED = [
  'select id, name, zone, schools from site',
  'select * from room order by id',
  'select id, room_id, name, walk_order, barrier, width_mm, version from bay order by id',
  'select * from enclosure order by id',
  'select * from bay_past order by bay_id, version',
  'select id, login, name, initials, role, active, competences from staff order by id',
  'select * from resident order by id',
  'select * from numbering',
  'select * from sheet order by id',
  'select * from sheet_version order by sheet_id, version',
  'select * from plan_override order by target, number',
  'select * from `change` order by stream, seq',
  'select * from entry order by stream, seq',
  'select id, family, up_to, state from subject order by id',
  'select * from photo order by id',
  'select * from touch order by subject, uid, how',
]

async function recordIn({ pool }: Pick<Scratch, 'pool'>): Promise<unknown[]> {
  const all = []
  for (const query of COMPARED) all.push((await pool.query<never[]>(query))[0])
  return all
}

describe('what was taken out', () => {
  it('makes the same house again: every fact, its place, what it adds up to', async () => {
    const before = await recordIn(open.base)
    expect(before.every((rows) => (rows as unknown[]).length > 0)).toBe(true)
    const empty = await scratch()
    const file = await fileAt('all.zip')
    // What the record gains after the file was begun is not in it, nor what its curators are given to come in with.
    const { codes, name } = await moveIn(empty.db, file, NOW)
    expect(name).toBe('Small site')
    await empty.pool.query("delete from `change` where json_value(what, '$.what') = 'code'")
    const after = await recordIn(empty)
    COMPARED.forEach((query, index) => expect(after[index], query).toEqual(before[index]))
    expect((await rebuild(empty.db, { write: false })).differing).toEqual([])
    expect(codes.map(({ login }) => login)).toEqual(['curator'])
    await empty.drop()
  })

  it('is sound, lets a curator in with the code and goes on where it ended', async () => {
    const empty = await scratch()
    const { codes } = await moveIn(empty.db, await fileAt('again.zip'), NOW)
    expect(await checkRecord(empty.db)).toEqual([])
    const again = await buildApp({ connection: empty })
    const login = 'curator'
    const passphrase = 'an altogether new phrase'
    const curator = client(again)
    const code = codes[0]?.code ?? ''
    const came = await curator.call({
      method: 'POST',
      url: OFFICE_ROUTES.useCode.url,
      body: { login, code, passphrase },
    })
    expect(came.statusCode).toBe(200)
    const entry = postedBy(open.site.person('curator').id, {
      subject: open.site.residents[0]?.id ?? '',
      kind: 'weighed',
      payload: { grams: 61 },
    })
    const posted = await curator.call({
      method: 'POST',
      url: ROUTES.append.url,
      body: { entries: [entry] },
    })
    expect(posted.json()).toMatchObject({ receipts: [{ status: 'accepted', stream: 1 }] })
    expect(await checkRecord(empty.db)).toEqual([])
    await again.close()
    await empty.drop()
  })

  it('has tables for a spreadsheet: corrected, without what was taken back, no cell a formula', async () => {
    const file = await fileAt('tables.zip')
    const weighed = (await textOf(file, 'tables/weighed.csv')).trim().split('\r\n')
    expect(weighed[0]).toMatch(/^day,time,number,name,by,duty,grams,/)
    expect(weighed).toHaveLength(2)
    const { name } = open.site.person('curator')
    expect(weighed[1]).toMatch(new RegExp(`^\\d{4}-\\d\\d-\\d\\d,\\d\\d:\\d\\d,0001,.+,${name},,60,`))
    const noted = await textOf(file, 'tables/noted.csv')
    expect(noted).toContain(`"'=cmd(""x""), ""said"" he\nand went"`)
    const residents = await textOf(file, 'tables/residents.csv')
    expect(residents).toContain('K-77,Newcomer,')
    expect(residents).toContain('"Room, Bench, 1/13"')
  })

  it('says nothing by which somebody could come in', async () => {
    const [rows] = await open.base.pool.query<never[]>('select passphrase_hash, pin_hash from staff')
    const secrets = (rows as Record<string, string | null>[])
      .flatMap((row) => Object.values(row))
      .filter(Boolean)
    expect(secrets.length).toBeGreaterThan(1)
    const all = Buffer.concat([...(await partsOf(await fileAt('secrets.zip'))).values()]).toString()
    for (const secret of secrets) expect(all).not.toContain(secret)
  })

  it('is told by its schema', async () => {
    const schema = JSON.parse(await textOf(await fileAt('schema.zip'), 'schema.json')) as Record<
      string,
      object
    >
    const parts = await partsOf(at('schema.zip'))
    expect(Object.keys(schema).sort()).toEqual(
      [...parts.keys()].filter((name) => name === 'house.json' || name.startsWith('lines/')).sort(),
    )
  })
})

describe('moving in', () => {
  const changed = async (part: string, change: (text: string) => string) => {
    const empty = await scratch()
    const file = await rewritten(await fileAt('good.zip'), part, change)
    const error: unknown = await moveIn(empty.db, file, NOW).catch((thrown: unknown) => thrown)
    const [sites] = await empty.pool.query<never[]>(
      'select name from site union select kind from entry union select login from staff',
    )
    await empty.drop()
    return { message: error instanceof Error ? error.message : '', left: sites.length }
  }

  it('names the line that is wrong, and keeps nothing of the file', async () => {
    const spoilt = await changed('lines/entries.jsonl', (text) => {
      const lines = text.split('\n')
      lines[4] = lines[4]?.replace(/"occurredAt":"[^"]+"/, '"occurredAt":"yesterday"') ?? ''
      return lines.join('\n')
    })
    expect(spoilt).toEqual({
      left: 0,
      message: expect.stringMatching(/entries\.jsonl, line 5, entry\.occurredAt/) as string,
    })
    expect((await changed('lines/rooms.jsonl', () => 'nonsense\n')).message).toMatch(
      /rooms\.jsonl, line 1 is no JSON/,
    )
    expect(await changed('lines/numbers.jsonl', () => '')).toEqual({
      left: 0,
      message: expect.stringContaining('has no number') as string,
    })
  })

  it('is refused in a house that is not empty, of half a file and of another', async () => {
    const file = await fileAt('whole.zip')
    await expect(moveIn(open.base.db, file, NOW)).rejects.toMatchObject({ code: 'not_empty' })
    await writeFile(at('cut.zip'), (await readFile(file)).subarray(0, 5000))
    await writeFile(at('text.zip'), 'not packed at all')
    const empty = await scratch()
    for (const name of ['cut.zip', 'text.zip', 'missing.zip'])
      await expect(moveIn(empty.db, at(name), NOW), name).rejects.toMatchObject({ code: 'export_damaged' })
    await empty.drop()
  })
})

describe('over the wire', () => {
  it('is for curators, comes as a zip file, and leaves nothing behind', async () => {
    const before = await readdir(tmpdir())
    const { url } = OFFICE_ROUTES.takeOut
    const answer = await open.as.call({ method: 'GET', url })
    expect([answer.statusCode, answer.headers['content-type']]).toEqual([200, 'application/zip'])
    await writeFile(at('wire.zip'), answer.rawPayload)
    expect([...(await partsOf(at('wire.zip'))).keys()]).toContain('lines/entries.jsonl')
    expect((await (await signedIn(open.app, 'keeper')).call({ method: 'GET', url })).statusCode).toBe(403)
    const left = (await readdir(tmpdir())).filter(
      (name) => name.startsWith('kobrin-out-') && !before.includes(name),
    )
    expect(left).toEqual([])
  })

  it('gives up when whoever asked has gone', async () => {
    const output = new PassThrough()
    const taking = takeOut(open.base.db, output, NOW)
    output.destroy()
    await expect(taking).rejects.toThrow()
    await expect(takeOut(open.base.db, createWriteStream(at('after.zip')), NOW)).resolves.toBeUndefined()
  })
})
