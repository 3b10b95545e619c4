import { fileURLToPath } from 'node:url'
import { ROPEWALK_ZONE, instantOf } from '@kobrin/demo'
import { dayFromIso } from '@kobrin/core'
import type { House } from '@kobrin/server'
import { startBalance } from '@kobrin/stand-ins'
import { startHouse } from '@kobrin/server'

const HOUSE = fileURLToPath(new URL('./house.ts', import.meta.url))
const BALANCE_PAGES = fileURLToPath(new URL('../../web/dist/standIns', import.meta.url))
const EMPTY = fileURLToPath(new URL('./emptyHouse.ts', import.meta.url))

/** A Ropewalk of its own, on any free port, that opens at a wall-clock minute of a day: from now on the
 * one that keepers sign in to. */
export async function houseOn(day: string, minute: number): Promise<House> {
  const house = await startHouse(HOUSE, { startsAt: instantOf(dayFromIso(day), minute, ROPEWALK_ZONE) })
  process.env['KOBRIN_E2E_URL'] = house.url
  process.env['KOBRIN_E2E_AHEAD_MS'] = String(house.aheadMs)
  return house
}

/** A record with nothing in it, on any free port, on an evening in June; the code is ABCDE-23456. */
export function emptyHouse(): Promise<House> {
  return startHouse(EMPTY, { startsAt: instantOf(dayFromIso('2026-06-16'), 19 * 60 + 30, ROPEWALK_ZONE) })
}

/** The house of the browser tests. It always opens on one Tuesday in June, mid-morning: what is left to
 * do there must not depend on when somebody runs the tests. */
export default async function start(): Promise<() => Promise<void>> {
  const balance = await startBalance({ pages: BALANCE_PAGES })
  process.env['KOBRIN_E2E_BALANCE'] = `${balance.host}:${balance.port}`
  process.env['KOBRIN_E2E_PAN'] = balance.url
  const house = await houseOn('2026-06-16', 10 * 60 + 30)
  return async () => {
    await house.close()
    await balance.close()
  }
}
