import { expect, it } from 'vitest'
import { usualUnits } from './unitChoices.ts'

it.each([
  ['America/New_York', 'us'],
  ['America/Indiana/Knox', 'us'],
  ['Pacific/Honolulu', 'us'],
  ['America/Toronto', 'metric'],
  ['America/Mexico_City', 'metric'],
  ['Europe/London', 'metric'],
  ['Asia/Manila', 'metric'],
  ['UTC', 'metric'],
] as const)('a house in %s most likely measures in %s units', (zone, units) => {
  expect(usualUnits(zone)).toBe(units)
})
