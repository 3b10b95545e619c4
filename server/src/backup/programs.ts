import { spawn } from 'node:child_process'
import type { ChildProcessByStdio } from 'node:child_process'
import type { Readable, Writable } from 'node:stream'
import type { DatabaseAddress } from '../database/connect.ts'
import { program } from '../database/program.ts'
import { KobrinFault } from '../errors/fault.ts'

/** Of what a program complained, so much is repeated. */
const COMPLAINT_MOST = 600

function reached(address: DatabaseAddress): { args: string[]; password: string; database: string } {
  if ('socketPath' in address) {
    const { socketPath, user, password, database } = address
    return { args: [`--socket=${socketPath}`, `--user=${user}`], password, database }
  }
  const { hostname, port, username, password, pathname } = new URL(address.url)
  return {
    args: [
      `--host=${hostname}`,
      ...(port === '' ? [] : [`--port=${port}`]),
      `--user=${decodeURIComponent(username)}`,
    ],
    password: decodeURIComponent(password),
    database: decodeURIComponent(pathname.slice(1)),
  }
}

export interface RunningProgram {
  process: ChildProcessByStdio<Writable, Readable, Readable>
  /** Resolves when it ended well; rejects with what it said. */
  ended: Promise<void>
}

/** Starts one of MariaDB's own programs on our database. The password is nobody's to read in a list of processes. */
export function startProgram(
  name: string,
  address: DatabaseAddress,
  options: readonly string[],
): RunningProgram {
  const { args, password, database } = reached(address)
  const process_ = spawn(
    program(name, { missing: name, packages: ['mariadb-client'] }),
    ['--no-defaults', ...args, ...options, database],
    {
      env: { ...process.env, MYSQL_PWD: password },
      stdio: ['pipe', 'pipe', 'pipe'],
    },
  )
  let said = ''
  process_.stderr.on('data', (chunk: Buffer) => (said = (said + String(chunk)).slice(-COMPLAINT_MOST)))
  const ended = new Promise<void>((resolve, reject) => {
    process_.once('error', reject)
    process_.once('close', (code) => {
      if (code === 0) resolve()
      else
        reject(new KobrinFault('database_unreachable', `${name} ended with ${String(code)}: ${said.trim()}`))
    })
  })
  // Anyone who waits for its output hears of the end from there first.
  ended.catch(() => undefined)
  return { process: process_, ended }
}
