import { fileURLToPath } from 'node:url'
import { startHouse } from '@kobrin/server'

/** A Ropewalk of its own for the browser tests, on any free port. */
export default async function start(): Promise<() => Promise<void>> {
  const house = await startHouse(fileURLToPath(new URL('./house.ts', import.meta.url)))
  process.env['KOBRIN_E2E_URL'] = house.url
  return house.close
}
