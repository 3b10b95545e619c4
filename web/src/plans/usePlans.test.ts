import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import { useSite } from '../site/useSite.ts'
import { TODAY } from '../testing/residents.ts'
import { NOON, smallBook, smallHouse } from '../testing/smallHouse.ts'
import { usePlans } from './usePlans.ts'

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: NOON })
  setActivePinia(createPinia())
  useSite().site = smallHouse()
})

const LONGER = {
  patch: { id: 'feed', cadence: { type: 'every', days: 9, tolerance: 1 } },
  by: 'lotte',
  on: TODAY - 1,
  reason: 'They are all fat.',
} as const

it('somebody new comes under what was signed for everyone of its kind', () => {
  useSite().book = { ...smallBook(), overrides: [{ target: 'gecko', number: 0, change: LONGER }] }
  const feed = usePlans()
    .planForNewcomer({ id: 'gecko' }, 'adult')
    ?.duties.find(({ id }) => id === 'feed')
  expect(feed).toMatchObject({ cadence: { days: 9 }, source: { from: 'site', reason: 'They are all fat.' } })
})

it('there is no plan for a stage or a sheet that nobody knows', () => {
  useSite().book = smallBook()
  const plans = usePlans()
  expect([
    plans.planForNewcomer({ id: 'gecko' }, 'egg'),
    plans.planForNewcomer({ id: 'unicorn' }, 'adult'),
  ]).toEqual([null, null])
})
