import type { Draft } from '@kobrin/core'
import { kindOf } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { How, Leaver, Leaving } from './leaving.ts'
import { leavingDrafts, wrongWithLeaving } from './leaving.ts'

const [GONE, MATE, BOX, OTHER, AUTHOR, LOT] = ['1', '2', '3', '4', '5', '6'].map(
  (n) => `01900000-0000-7000-8000-00000000000${n}`,
) as [string, string, string, string, string, string]

function leaving(part: Partial<Leaving> = {}): Leaving {
  return {
    how: 'died',
    count: null,
    why: '',
    to: '',
    dueBack: null,
    foundBy: AUTHOR,
    lastAlive: null,
    postMortem: false,
    disposal: 'notYet',
    into: '',
    leaves: 'toClean',
    floorAt: '',
    ...part,
  }
}

function leaver(part: Partial<Leaver> = {}): Leaver {
  return {
    residentId: GONE,
    from: BOX,
    mates: [],
    known: 1,
    isColony: false,
    author: AUTHOR,
    today: 20_600,
    ...part,
  }
}

const made = (one: Partial<Leaving>, by: Partial<Leaver> = {}) =>
  leavingDrafts(leaving(one), leaver(by), () => LOT)
const told = (drafts: readonly Draft[]) => drafts.map(({ subject, kind }) => `${subject.slice(-1)} ${kind}`)

describe('what a leaving records', () => {
  it.each<[How, string[]]>([
    ['died', ['1 died', '3 vacated']],
    ['rehomed', ['1 left', '3 vacated']],
    ['lent', ['1 left', '3 vacated']],
    ['givenBack', ['1 left', '3 vacated']],
    ['released', ['1 left', '3 vacated']],
    ['lost', ['1 lost', '3 vacated']],
    ['merged', ['1 merged', '4 gained', '3 vacated']],
  ])('of one that is alone in its box: %s', (how, records) => {
    expect(told(made({ how, to: 'The school', why: 'So', into: OTHER }))).toEqual(records)
  })

  it('is what the server takes', () => {
    const parts: Partial<Leaving>[] = [
      { how: 'died', why: 'Thin', foundBy: MATE, lastAlive: 20_599, postMortem: true, disposal: 'frozen' },
      { how: 'lent', to: 'The school', dueBack: 20_700 },
      { how: 'lost', why: 'Searched' },
      { how: 'merged', into: OTHER, count: 12 },
    ]
    for (const part of parts)
      for (const { kind, payload } of made({ leaves: 'toHold', floorAt: 'Larder', ...part }, { mates: [] }))
        expect(kindOf(kind as never).payload.safeParse(payload)).toMatchObject({ success: true })
  })

  it('asks for a look at whoever shared the box with one that died, and leaves them their box', () => {
    expect(told(made({}, { mates: [MATE, OTHER] }))).toEqual(['1 died', '2 companionDied', '4 companionDied'])
    expect(told(made({ how: 'rehomed', to: 'X' }, { mates: [MATE] }))).toEqual(['1 left'])
  })

  it('leaves a colony its box while some of it stay', () => {
    const colony = { isColony: true, known: 40 }
    expect(told(made({ count: 12 }, colony))).toEqual(['1 died'])
    expect(told(made({ count: 40 }, colony))).toEqual(['1 died', '3 vacated'])
    expect(told(made({ count: null }, { isColony: true, known: null }))).toEqual(['1 died', '3 vacated'])
    expect(told(made({ count: 12 }, { isColony: true, known: null }))).toEqual(['1 died'])
  })

  it('puts its floor aside where young may hide in it', () => {
    expect(told(made({ leaves: 'toHold', floorAt: 'Larder' }))).toEqual([
      '1 died',
      '6 floorKept',
      '3 readied',
    ])
  })

  it('says who found it only where that is somebody else', () => {
    expect(made({})[0]?.payload).not.toHaveProperty('foundBy')
    expect(made({ foundBy: MATE })[0]?.payload).toHaveProperty('foundBy', MATE)
  })
})

describe('what a leaving lacks', () => {
  it.each<[Partial<Leaving>, Partial<Leaver>, string[]]>([
    [{ how: 'died' }, {}, []],
    [{ how: 'died', lastAlive: 20_601 }, {}, ['lastAlive']],
    [{ how: 'rehomed' }, {}, ['to']],
    [{ how: 'released', to: 'The meadow' }, {}, ['why']],
    [{ how: 'lost' }, {}, ['why']],
    [{ how: 'lent', to: 'X', dueBack: 20_599 }, {}, ['dueBack']],
    [{ how: 'merged' }, {}, ['into']],
    [{ how: 'merged', into: OTHER }, { isColony: true, known: null }, ['count']],
    [{ how: 'died', leaves: 'toHold' }, {}, ['at']],
    [{ how: 'died', leaves: 'toHold' }, { mates: [MATE] }, []],
  ])('%o %o: %o', (part, by, fields) => {
    expect(Object.keys(wrongWithLeaving(leaving(part), leaver(by)))).toEqual(fields)
  })
})
