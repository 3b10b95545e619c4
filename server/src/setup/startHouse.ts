import { spawn } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import type { DatabaseAddress } from '../database/connect.ts'

export interface House {
  url: string
  database: DatabaseAddress
  /** How far its clock is ahead of the machine's, milliseconds. */
  aheadMs: number
  close: () => Promise<void>
}

export interface StartHouseOptions {
  /** The moment its clock shows when it is started, UTC milliseconds; from there on it runs. */
  startsAt: number
}

/** Runs a script that opens a house (see `openHouse`) in a process of its own, in a folder that goes
 * with it. The script is handed the folder and how far its clock is ahead. */
export async function startHouse(script: string, { startsAt }: StartHouseOptions): Promise<House> {
  const dataDir = await mkdtemp(join(tmpdir(), 'kobrin-house-'))
  const aheadMs = startsAt - Date.now()
  const args = ['--import', 'tsx', script, dataDir, String(aheadMs)]
  const child = spawn('node', args, { stdio: ['ignore', 'pipe', 'inherit'] })
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
    aheadMs,
    close: async () => {
      child.kill('SIGTERM')
      await ended
      await rm(dataDir, { recursive: true, force: true })
    },
  }
}
