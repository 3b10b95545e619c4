import { join } from 'node:path'
import { KobrinFault } from '@kobrin/server'
import type { StandInBalance } from '@kobrin/stand-ins'
import { startBalance } from '@kobrin/stand-ins'
import { ROOT } from './settings.ts'
import { whenToldToStop } from './whenToldToStop.ts'

const PAGES = join(ROOT, 'web', 'dist', 'standIns')

function isTaken(error: unknown): boolean {
  return error instanceof Error && 'code' in error && error.code === 'EADDRINUSE'
}

/** A balance that stands in, with its page one port above that of the house, or on any free one. */
export async function standInBeside(port: number): Promise<StandInBalance> {
  const beside = port === 0 ? 0 : port + 1
  try {
    return await startBalance({ pages: PAGES, pagePort: beside })
  } catch (error) {
    if (!isTaken(error)) throw error
    return startBalance({ pages: PAGES })
  }
}

/** Stands in for a balance until told to stop. Throws KobrinFault `port_busy`. */
export async function standIn({
  port,
  page,
  step,
}: {
  port: number
  page: number
  step: number
}): Promise<void> {
  const balance = await startBalance({ port, pagePort: page, step, pages: PAGES }).catch((error: unknown) => {
    if (!isTaken(error)) throw error
    throw new KobrinFault(
      'port_busy',
      `Port ${port} or ${page} is in use. Choose others with --port and --page.`,
    )
  })
  console.log(`It speaks at ${balance.host}:${balance.port}, and its page is at ${balance.url}`)
  console.log(`Tell the house of it: KOBRIN_BALANCES="Bench=${balance.host}:${balance.port}"`)
  await whenToldToStop()
  await balance.close()
}
