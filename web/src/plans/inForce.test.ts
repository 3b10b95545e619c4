import type { Override } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { inForce } from './inForce.ts'

const TODAY = 20_600
const change = (rest: Partial<Override>): Override => ({
  by: 'maren',
  on: TODAY - 30,
  reason: 'So it is',
  ...rest,
})
const feed = (rest: Partial<Override> = {}) => change({ patch: { id: 'feed', minutes: 2 }, ...rest })

describe('of several changes about one thing', () => {
  const of = (target: string, number: number, signed: Override) => ({
    target,
    number,
    change: { at: `2026-05-01T08:00:0${number}.000Z`, ...signed },
  })

  it.each([
    ['the later is in force', [of('ada', 1, feed()), of('ada', 2, feed())], [2]],
    ['its own is, though the sheet’s is later', [of('ada', 1, feed()), of('sheet', 2, feed())], [1]],
    ['none is that is over', [of('ada', 1, feed({ until: TODAY - 1 })), of('sheet', 2, feed())], [2]],
    ['none is that is to come', [of('ada', 1, feed({ on: TODAY + 1 }))], []],
    [
      'each is that is about another thing',
      [of('ada', 1, feed()), of('ada', 2, change({ housing: { hides: 2 } }))],
      [2, 1],
    ],
    [
      'each is of one duty, where they name other fields of it',
      [of('ada', 1, change({ patch: { id: 'feed', people: 2 } })), of('ada', 2, feed())],
      [2, 1],
    ],
    [
      'the later day is, though it was signed before',
      [of('ada', 1, feed({ on: TODAY - 1 })), of('ada', 2, feed())],
      [1],
    ],
    [
      'none is of a duty that is taken away',
      [of('ada', 1, feed()), of('ada', 2, change({ patch: { id: 'feed', drop: true } }))],
      [2],
    ],
    [
      'one is that says something besides',
      [
        of('ada', 1, change({ housing: { hides: 2, lengthMm: 400 } })),
        of('ada', 2, change({ housing: { hides: 3 } })),
      ],
      [2, 1],
    ],
  ])('%s', (_, signed, numbers) => {
    expect([...inForce(signed, 'ada', TODAY)].map(({ number }) => number)).toEqual(numbers)
  })
})
