import { ROUTES } from '@kobrin/contract'
import { call } from '../api/call.ts'
import type { KeeperOptions } from './foldKeeper.ts'
import { createFoldKeeper } from './foldKeeper.ts'
import { hasRoom } from './hasRoom.ts'
import { kept } from './keptStore.ts'
import { createLately } from './lately.ts'

interface KeepingOptions extends Pick<KeeperOptions, 'ledger' | 'head' | 'mayKeep'> {
  today: () => number
}

/** Keeps what is known of the house on this device: what everything adds up to, and what was said of late. */
export function keepHere({ today, ...options }: KeepingOptions) {
  const lately = createLately({
    today,
    mayKeep: options.mayKeep,
    store: kept,
    hasRoom,
    ask: async (day) => (await call(ROUTES.ofDay, { params: { day } })).entries,
  })
  return createFoldKeeper({ ...options, store: kept, lately })
}
