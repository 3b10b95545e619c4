import { describe, expect, it } from 'vitest'
import { restFaults } from './restFaults.ts'
import { Sheet } from './sheet.ts'

const CLIMATE = {
  zone: 'winter rest',
  measures: 'air',
  during: 'winterRest',
  celsius: [4, 7],
  ceilingCelsius: 10,
  neverBelowCelsius: 2,
}
const WEEKLY = { id: 'weigh', cadenceDuring: { winterRest: { type: 'every', days: 7, tolerance: 1 } } }
const complete = {
  id: 'rest',
  name: 'Ten weeks',
  reason: 'So.',
  stages: ['adult'],
  rest: { fastDays: 28, wake: ['Warm it in steps'] },
  targets: [CLIMATE],
  duties: [WEEKLY],
}
const HOLD = { hold: 'winterRest', suppresses: ['feed'], endsBy: 'event' }

function lacks(
  option: object,
  { holds = [HOLD], weighs = true }: { holds?: object[]; weighs?: boolean } = {},
) {
  const weigh = { id: 'weigh', does: 'weigh', cadence: { type: 'every', days: 28, tolerance: 4 } }
  const look = { id: 'look', does: 'look', cadence: { type: 'every', days: 1 } }
  const sheet = Sheet.parse({
    id: 'testling',
    common: 'Testling',
    latin: 'Testudo testis',
    group: 'tortoise',
    lives: 'individual',
    stages: [{ id: 'adult', name: 'Adult', duties: weighs ? [look, weigh] : [look] }],
    holds,
    schools: [
      {
        id: 'winter',
        question: 'A rest?',
        default: 'none',
        options: [{ id: 'none', name: 'None', reason: 'So.' }, option],
      },
    ],
    sources: ['common husbandry practice'],
  })
  return restFaults(sheet).map(({ path, what }) => [path.join('.'), 'lack' in what ? what.lack : null])
}

describe('a winter rest', () => {
  const at = 'schools.0.options.1'

  it('stands when it brings all it takes', () => {
    expect(lacks(complete)).toEqual([])
  })

  it.each([
    ['who may rest and how it ends', { ...complete, rest: undefined }, {}, 'gate'],
    ['its temperatures', { ...complete, targets: [] }, {}, 'climate'],
    ['the hold', complete, { holds: [] }, 'hold'],
    ['its weighing', { ...complete, duties: [] }, {}, 'weighing'],
    [
      'a weighing every week',
      {
        ...complete,
        duties: [{ id: 'weigh', cadenceDuring: { winterRest: { type: 'every', days: 21, tolerance: 2 } } }],
      },
      {},
      'weighing',
    ],
  ])('without %s is no side to choose', (_, option, more, lack) => {
    expect(lacks(option, more)).toEqual([[at, lack]])
  })

  it('needs no weighing of those that are never weighed', () => {
    expect(lacks({ ...complete, duties: [] }, { weighs: false })).toEqual([])
  })
})
