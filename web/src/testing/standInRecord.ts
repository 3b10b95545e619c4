import type { Draft, Entry, ResidentState } from '@kobrin/core'
import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import { shallowReactive } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { entryOn, stateOf, TODAY } from './residents.ts'
import { ME, NOON } from './smallHouse.ts'

/** What stands in for `useRecord`: states that a test sets, and what was handed over to be kept. For
 * `vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))`. */
export const states = shallowReactive(new Map<string, ResidentState>())
export const kept: { drafts: readonly Draft[]; says: string }[] = []

export const useRecord = () => ({
  stateOf: (id: string) => states.get(id),
  keep: (drafts: readonly Draft[], says: string) => kept.push({ drafts, says }),
})

/** Lives in a box since long ago; more happened since. */
export function lives(id: string, enclosure: string, ...more: readonly Entry[]): void {
  const arrived = entryOn(TODAY - 400, { kind: 'arrived', payload: { enclosure } })
  states.set(id, stateOf(arrived, ...more))
}

/** Noon, a keeper signed in, and nothing known or kept. */
export function beginShift(fake: Parameters<typeof vi.useFakeTimers>[0] = { toFake: ['Date'] }): void {
  vi.useFakeTimers({ ...fake, now: NOON })
  localStorage.clear()
  states.clear()
  kept.length = 0
  setActivePinia(createPinia())
  usePeople().me = ME
}
