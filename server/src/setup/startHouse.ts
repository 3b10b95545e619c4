import { spawn } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import type { DatabaseAddress } from '../database/connect.ts'

export interface House {
  url: string
  database: DatabaseAddress
  close: () => Promise<void>
}

/** Runs a script that opens a house (see `openHouse`) in a process of its own, in a folder that goes
 * with it. The script is handed the folder. */
export async function startHouse(script: string): Promise<House> {
  const dataDir = await mkdtemp(join(tmpdir(), 'kobrin-house-'))
  const child = spawn('node', ['--import', 'tsx', script, dataDir], { stdio: ['ignore', 'pipe', 'inherit'] })
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve))
  const said = new Promise<string>((resolve) =>
    createInterface({ input: child.stdout }).once('line', resolve),
  )
  const first = await Promise.race([said, ended])
  if (typeof first !== 'string') throw new Error(`The house of ${script} ended with ${String(first)}.`)
  const { url, database } = JSON.parse(first) as Pick<House, 'url' | 'database'>
  return {
    url,
    database,
    close: async () => {
      child.kill('SIGTERM')
      await ended
      await rm(dataDir, { recursive: true, force: true })
    },
  }
}
