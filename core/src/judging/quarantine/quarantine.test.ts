import { expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { quarantineOn } from './quarantine.ts'

const HOME = '00000000-0000-7000-8000-0000000000ff'
const arrived = told([entryOn(2, 'arrived', { enclosure: HOME })])

it('lasts from the arrival for as many days as the sheet asks, and no longer', () => {
  const plan = { quarantineDays: 90 }
  expect(quarantineOn(FIRST_DAY + 91, plan, arrived)).toEqual({
    since: FIRST_DAY + 2,
    until: FIRST_DAY + 92,
    days: 90,
  })
  expect(quarantineOn(FIRST_DAY + 92, plan, arrived)).toBeNull()
  expect(quarantineOn(FIRST_DAY + 3, {}, arrived)).toBeNull()
  expect(quarantineOn(FIRST_DAY + 3, plan, told([]))).toBeNull()
})
