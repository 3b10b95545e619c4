import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { startOwnDatabase } from '../database/ownDatabase.ts'

declare module 'vitest' {
  export interface ProvidedContext {
    databaseSocket: string
    databasePassword: string
  }
}

/** One MariaDB for all server tests, in a folder that goes with it. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const folder = await mkdtemp(join(tmpdir(), 'kobrin-test-'))
  const { address, stop } = await startOwnDatabase(folder)
  if (!('socketPath' in address)) throw new Error('Our own database is reached by its socket.')
  project.provide('databaseSocket', address.socketPath)
  project.provide('databasePassword', address.password)
  return async () => {
    await stop()
    await rm(folder, { recursive: true, force: true })
  }
}
