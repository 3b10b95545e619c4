import type { RestObstacle } from '@kobrin/core'
import { Rest } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { sayObstacles } from './rest.ts'
import { sayRest } from './restRule.ts'

describe('a winter rest in words', () => {
  const obstacles: [RestObstacle, string][] = [
    [{ code: 'noRest' }, 'no winter rest is planned'],
    [{ code: 'light', grams: 480, least: 600 }, 'it weighs 480 g, and below 600 g none should rest'],
    [{ code: 'thin', score: 2, day: 0 }, 'body condition 2 on 1 Jan'],
    [{ code: 'unwell', text: 'Runny nose', day: 0, by: 'x' }, 'unwell on 1 Jan: Runny nose'],
    [{ code: 'lately', arrivedOn: 0, days: 60 }, 'it arrived on 1 Jan'],
    [{ code: 'unweighed', day: null, within: 10 }, 'it was never weighed'],
    [{ code: 'unweighed', day: 0, within: 10 }, 'last weighed on 1 Jan; it has to be within 10 days'],
    [{ code: 'ateLately', day: 0, days: 28 }, 'no food for 28 days before'],
    [{ code: 'otherwise', hold: 'gravid' }, 'it is held: gravid'],
  ]
  it.each(obstacles)('%o', (obstacle, said) => {
    expect(sayObstacles([obstacle], 3)).toContain(said)
  })

  it('says what a sheet asks of it, and how to wake', () => {
    const rest = Rest.parse({
      fastDays: 28,
      leastGrams: 600,
      stopAtLoss: 0.1,
      stopAtUrine: true,
      wake: ['Warm it'],
    })
    expect(sayRest(rest)).toBe(
      'No food for 28 days before. None below 600 g. None that came less than 60 days ago. Weighed within 10 days, also while it rests. Woken when 10 % of its weight is gone. Woken when it passes water. To wake it: Warm it.',
    )
    expect(sayRest(Rest.parse({ fastDays: 0, wake: ['Let it warm'] }))).toBe(
      'None that came less than 60 days ago. To wake it: Let it warm.',
    )
  })
})
