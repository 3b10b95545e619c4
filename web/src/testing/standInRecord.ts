import type { Draft, Entry, LotState, PlaceState, Readings, Register, ResidentState } from '@kobrin/core'
import { emptyPlace, emptyResident } from '@kobrin/core'
import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import { shallowReactive } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useRegister } from '../residents/useRegister.ts'
import { entryOn, registerOf, stateOf, TODAY } from './residents.ts'
import { ME, NOON } from './smallHouse.ts'

/** What stands in for `useRecord`: states that a test sets, and what was handed over to be kept. For
 * `vi.mock('../entries/useRecord.ts', () => import('./standInRecord.ts'))`. */
export const states = shallowReactive(new Map<string, ResidentState>())
export const kept: { drafts: readonly Draft[]; says: string }[] = []

/** What was said on this screen a moment ago. */
export const recent = new Map<string, readonly Entry[]>()
export const takenBack: string[] = []

export const lots = shallowReactive(new Map<string, LotState>())
export const readings = shallowReactive(new Map<string, Readings>())
export const waitingPlaces = shallowReactive(new Map<string, NonNullable<PlaceState['waits']>>())

export const useRecord = () => ({
  lots,
  waitingPlaces,
  readings,
  stateOf: (id: string) => states.get(id) ?? emptyResident(),
  placeState: (id: string): PlaceState => ({ ...emptyPlace(), waits: waitingPlaces.get(id) ?? null }),
  keep: (drafts: readonly Draft[], says: string) => kept.push({ drafts, says }),
  recent: (id: string): readonly Entry[] => recent.get(id) ?? [],
  async takeBackEntry(entry: Entry): Promise<void> {
    takenBack.push(entry.uid)
  },
})

interface Living {
  enclosure?: string
  register?: Partial<Register>
}

/** Is on record, and lives in a box since long ago where one is named; more happened since. */
export function lives(id: string, { enclosure, register = {} }: Living, ...more: readonly Entry[]): void {
  const registered = entryOn(TODAY - 400, { kind: 'registered', payload: registerOf(id, register) })
  const arrived = enclosure ? [entryOn(TODAY - 400, { kind: 'arrived', payload: { enclosure } })] : []
  states.set(id, stateOf(registered, ...arrived, ...more))
  useRegister().put(id, registerOf(id, register))
}

/** Noon, a keeper signed in, and nothing known or kept. */
export function beginShift(fake: Parameters<typeof vi.useFakeTimers>[0] = { toFake: ['Date'] }): void {
  vi.useFakeTimers({ ...fake, now: NOON })
  localStorage.clear()
  states.clear()
  lots.clear()
  waitingPlaces.clear()
  readings.clear()
  kept.length = 0
  recent.clear()
  takenBack.length = 0
  setActivePinia(createPinia())
  usePeople().me = ME
}
