import { mkdtemp, mkdir, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, describe, expect, it } from 'vitest'
import { KobrinFault } from '../errors/fault.ts'
import { connect } from './connect.ts'
import type { OwnDatabase } from './ownDatabase.ts'
import { isAlive, startOwnDatabase } from './ownDatabase.ts'

const folders: string[] = []
const started: OwnDatabase[] = []

async function folder(): Promise<string> {
  const path = await mkdtemp(join(tmpdir(), 'kobrin-own-'))
  folders.push(path)
  return path
}

async function start(path: string): Promise<OwnDatabase> {
  const own = await startOwnDatabase(path)
  started.push(own)
  return own
}

afterEach(async () => {
  for (const own of started.splice(0)) await own.stop()
  for (const path of folders.splice(0)) await rm(path, { recursive: true, force: true })
})

async function faultOf(work: Promise<unknown>): Promise<KobrinFault> {
  const error = await work.catch((reason: unknown) => reason)
  if (error instanceof KobrinFault) return error
  throw new Error(`No fault, but ${String(error)}`)
}

describe('a database of our own', () => {
  it('keeps what was written over a stop, and lets nobody in without its secret', async () => {
    const path = await folder()
    const first = await start(path)
    const one = await connect(first.address)
    await one.pool.query('create table kept (n int)')
    await one.pool.query('insert into kept values (7)')
    await one.close()
    const { socketPath, user, database } = first.address as {
      socketPath: string
      user: string
      database: string
    }
    const refused = await faultOf(connect({ socketPath, user, password: '', database }))
    expect(refused.code).toBe('database_unreachable')
    await first.stop()

    const second = await start(path)
    const again = await connect(second.address)
    expect((await again.pool.query('select n from kept'))[0]).toEqual([{ n: 7 }])
    await again.close()
  })

  it('loses nothing it works with when another house on this machine is started', async () => {
    const one = await connect((await start(await folder())).address, 1)
    const half = await one.pool.getConnection()
    await half.query('create temporary table half_done (n int, told text) engine=aria')
    await half.query("insert into half_done values (7, 'so far')")
    await start(await folder())
    await half.query('drop temporary table half_done')
    half.release()
    await one.close()
  })

  it('never runs with the secret that a power cut left empty', async () => {
    const path = await folder()
    await (await start(path)).stop()
    await writeFile(join(path, 'mariadb.secret'), '')
    const second = await start(path)
    const address = second.address as { password: string }
    expect(address.password).toMatch(/^[0-9a-f]{48}$/)
    expect((await faultOf(connect({ ...second.address, password: '' }))).code).toBe('database_unreachable')
    const one = await connect(second.address)
    await one.close()
  })

  it('that hangs is ended all the same when it is told to stop', async () => {
    const path = await folder()
    const own = await startOwnDatabase(path, { stopPatienceMs: 300 })
    const pid = own.pid()
    process.kill(pid, 'SIGSTOP')
    await own.stop()
    expect(isAlive(pid)).toBe(false)
  })

  it('takes over the one that a killed server left running', async () => {
    const path = await folder()
    const first = await start(path)
    const second = await start(path)
    expect(second.pid()).toBe(first.pid())
  })

  it('is started again when it is killed, with all it had acknowledged, until it is told to stop', async () => {
    const said: string[] = []
    const own = await startOwnDatabase(await folder(), { says: (line) => said.push(line) })
    started.push(own)
    const before = own.pid()
    const { pool, close } = await connect(own.address)
    await pool.query('create table kept (n int)')
    await pool.query('insert into kept values (7)')
    process.kill(before, 'SIGKILL')
    await expect
      .poll(async () => (await pool.query('select n from kept').catch(() => [[]]))[0], { timeout: 20_000 })
      .toEqual([{ n: 7 }])
    expect(said).toEqual(['The database had gone; it is being started again.'])
    await close()
    await expect.poll(() => own.pid()).not.toBe(before)
    const after = own.pid()
    await own.stop()
    expect([isAlive(before), isAlive(after)]).toEqual([false, false])
  })

  it('says in a sentence what to do about a folder that holds something else', async () => {
    const path = await folder()
    await mkdir(join(path, 'mariadb'))
    await writeFile(join(path, 'mariadb', 'holiday.txt'), 'Not a database.')
    const fault = await faultOf(start(path))
    expect(fault.code).toBe('database_damaged')
    expect(fault.message).toContain('Restore it from a backup, or move it away')
  })

  it('says in a sentence what to do about data that will not start', async () => {
    const path = await folder()
    const own = await start(path)
    await own.stop()
    started.length = 0
    await writeFile(join(path, 'mariadb', 'ibdata1'), 'Overwritten.')
    const fault = await faultOf(start(path))
    expect(fault.code).toBe('database_damaged')
    expect(fault.message).toContain('mariadb.log')
  })

  it('says what to check when a server does not answer', async () => {
    const fault = await faultOf(connect({ url: 'mysql://nobody@127.0.0.1:9/none' }))
    expect(fault.code).toBe('database_unreachable')
    expect(fault.message).toContain('KOBRIN_DATABASE_URL')
  })
})
