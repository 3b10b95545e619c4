import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from '../app.ts'
import { checkRecord } from '../setup/check.ts'
import { signedIn } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { postedBy } from '../testing/requests.ts'
import { scratch } from '../testing/scratch.ts'
import { backup, verify } from './backup.ts'
import { backupNow, backupsIn, isDue } from './nightly.ts'
import { restore } from './restore.ts'

const WRITERS = 6
const NOW = new Date('2026-06-01T02:30:00.000Z')

let open: OpenApp
let folder: string

beforeAll(async () => {
  open = await openApp('curator')
  folder = await mkdtemp(join(tmpdir(), 'kobrin-backup-'))
})
afterAll(async () => {
  await open.close()
  await rm(folder, { recursive: true, force: true })
})

const at = (name: string) => join(folder, name)

/** Keepers who write on and on until they are told to stop. Answers what was acknowledged, in order. */
function writing(): { acknowledged: string[]; stop: () => Promise<void> } {
  const acknowledged: string[] = []
  const told = { toStop: false }
  const { id: author } = open.site.person('curator')
  async function write(writer: number): Promise<void> {
    const subject = open.site.residents[writer]?.id ?? ''
    while (!told.toStop) {
      const entry = postedBy(author, { subject, kind: 'weighed', payload: { grams: 60 } })
      const body = { entries: [entry] }
      const answer = await open.as.call({ method: 'POST', url: ROUTES.append.url, body })
      if (answer.statusCode === 200) acknowledged.push(entry.uid)
    }
  }
  const all = Promise.all(Array.from({ length: WRITERS }, (_, writer) => write(writer)))
  return {
    acknowledged,
    async stop() {
      told.toStop = true
      await all
    },
  }
}

describe('a backup', () => {
  it('made while people write brings back all that was acknowledged before it, sound and with its history', async () => {
    const { id, name, login, initials } = open.site.person('reader')
    const kept = { name: `${name} the second`, login, initials, role: 'reader', competences: [] }
    const url = OFFICE_ROUTES.keepPerson.url.replace(':id', id)
    expect((await open.as.call({ method: 'PUT', url, body: kept })).statusCode).toBe(204)

    const writers = writing()
    await expect.poll(() => writers.acknowledged.length).toBeGreaterThan(50)
    const before = [...writers.acknowledged]
    await backup(open.base.address, at('drill.sql.gz'), NOW)
    await writers.stop()
    expect(writers.acknowledged.length).toBeGreaterThan(before.length)

    const empty = await scratch()
    expect(await restore(empty.address, empty, at('drill.sql.gz'))).toMatchObject({ at: NOW.toISOString() })
    const [entries] = await empty.pool.query<never[]>('select uid from entry')
    const there = new Set((entries as { uid: string }[]).map(({ uid }) => uid))
    expect(before.filter((uid) => !there.has(uid))).toEqual([])
    expect(await checkRecord(empty.db)).toEqual([])
    const [names] = await empty.pool.query<never[]>(
      `select name from staff for system_time all where id = '${id}' order by row_start`,
    )
    expect((names as { name: string }[]).map((row) => row.name)).toEqual([name, kept.name])

    // It is a house again: people sign in and write on.
    const again = await buildApp({ connection: empty })
    const curator = await signedIn(again, 'curator')
    const entry = postedBy(open.site.person('curator').id, {
      subject: open.site.residents[0]?.id ?? '',
      kind: 'noted',
      payload: { text: 'Back again' },
    })
    const answer = await curator.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [entry] } })
    expect(answer.json()).toMatchObject({ receipts: [{ status: 'accepted' }] })
    await again.close()
    await empty.drop()
  })

  it('is not brought into a house that is not empty', async () => {
    await backup(open.base.address, at('whole.sql.gz'), NOW)
    await expect(restore(open.base.address, open.base, at('whole.sql.gz'))).rejects.toMatchObject({
      code: 'not_empty',
      message: expect.stringContaining('Small site') as string,
    })
  })

  it('that was cut short, or is something else, is known before anything is written', async () => {
    const whole = await readFile(at('whole.sql.gz'))
    await writeFile(at('cut.sql.gz'), whole.subarray(0, whole.length - 2000))
    await writeFile(at('text.sql.gz'), 'not packed at all')
    await writeFile(at('other.sql.gz'), gzipSync('-- something else\n-- Dump completed on a Monday\n'))
    const header = '-- kobrin-backup {"version":"0.1.0","at":"2026-06-01T02:30:00.000Z"}\n'
    await writeFile(at('endless.sql.gz'), gzipSync(`${header}create table `))
    for (const name of ['cut', 'text', 'other', 'endless', 'missing'])
      await expect(verify(at(`${name}.sql.gz`)), name).rejects.toMatchObject({ code: 'backup_damaged' })
    const empty = await scratch()
    await expect(restore(empty.address, empty, at('cut.sql.gz'))).rejects.toMatchObject({
      code: 'backup_damaged',
    })
    await empty.drop()
  })

  it('that fails leaves the one before as it was', async () => {
    const before = await readFile(at('whole.sql.gz'))
    const nowhere = { ...open.base.address, database: 'nowhere' }
    await expect(backup(nowhere, at('whole.sql.gz'), NOW)).rejects.toMatchObject({
      code: 'database_unreachable',
    })
    await expect(backup(open.base.address, at('no/such/folder.gz'), NOW)).rejects.toMatchObject({
      code: 'backup_failed',
    })
    expect((await readFile(at('whole.sql.gz'))).equals(before)).toBe(true)
  })
})

describe('every night', () => {
  it.each([
    [null, 3, true],
    [null, 14, true],
    ['2026-05-31T02:31:00.000Z', 3, true],
    ['2026-05-31T02:31:00.000Z', 14, false],
    ['2026-05-31T20:00:00.000Z', 3, false],
    ['2026-05-30T10:00:00.000Z', 14, true],
  ])('after one of %s one is due at %i o’clock: %s', (last, hour, due) => {
    expect(isDue(last, NOW, hour)).toBe(due)
  })

  it('one is put into the folder, and what is in no generation any more goes', async () => {
    const nights = join(folder, 'nights')
    expect(await backupsIn(nights)).toEqual(new Map())
    await backupNow(open.base.address, nights, NOW)
    // Two of the same day: the last stands for it.
    const later = new Date(NOW.getTime() + 3_600_000)
    await backupNow(open.base.address, nights, later)
    await writeFile(join(nights, 'a note of somebody.txt'), 'left alone')
    expect([...(await backupsIn(nights)).keys()]).toEqual([later.toISOString()])
    expect(await readFile(join(nights, 'a note of somebody.txt'), 'utf8')).toBe('left alone')
  })

  it('the office is told when the last was made, and that it was too long ago', async () => {
    const nights = join(folder, 'told')
    const clock = { at: NOW }
    const app = await buildApp({
      connection: open.base,
      now: () => clock.at,
      backups: { address: open.base.address, folder: nights },
    })
    const told = async () =>
      (await (await signedIn(app, 'seniorKeeper')).call({ url: OFFICE_ROUTES.backups.url })).json<object>()
    expect(await told()).toEqual({ folder: nights, last: null, isLate: false })
    await backupNow(open.base.address, nights, NOW)
    expect(await told()).toEqual({ folder: nights, last: NOW.toISOString(), isLate: false })
    clock.at = new Date(NOW.getTime() + 2 * 86_400_000 + 1000)
    expect(await told()).toMatchObject({ isLate: true })
    await app.close()
  })
})
