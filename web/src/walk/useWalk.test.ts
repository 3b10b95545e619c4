import type { Entry, Register } from '@kobrin/core'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { usePeople } from '../people/usePeople.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { dutyOf, entryOn, TODAY } from '../testing/residents.ts'
import { LOTTE, ME, smallBook, smallHouse } from '../testing/smallHouse.ts'
import { beginShift, kept, lives as livesIn } from '../testing/standInRecord.ts'
import { useWalk } from './useWalk.ts'
import { useTouch } from './useTouch.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))

/** What is particular about somebody on the register. */
const registers = new Map<string, Partial<Register>>()

/** Last fed and watered so many days ago. */
function lives(id: string, enclosure: string, daysAgo: number, ...more: Entry[]): void {
  const done = [
    entryOn(TODAY - daysAgo, { kind: 'fed', payload: { duty: 'feed', item: 'crickets', outcome: 'taken' } }),
    entryOn(TODAY - daysAgo, { kind: 'watered', payload: { duty: 'water' } }),
  ]
  livesIn(id, { enclosure, register: registers.get(id) ?? {} }, ...done, ...more)
}

function open(numbers: Record<string, string> = {}) {
  useSite().site = smallHouse(numbers)
  useSite().book = smallBook()
  return { ...useTouch(), walk: useWalk(), residents: useResidents() }
}

beforeEach(() => {
  beginShift()
  registers.clear()
})

describe('the order of the walk', () => {
  it('goes from the youngest to the sick, room by room, whatever the building says', () => {
    lives('ada', 'a1', 3)
    lives('bea', 'b1', 3)
    lives('nan', 'n1', 3)
    const { walk } = open()
    expect(walk.stops.map(({ title, barrier }) => [title, barrier])).toEqual([
      ['Nursery', 0],
      ['Loft', 1],
      ['Loft, bay b', 2],
    ])
  })

  it('puts a sick resident on a pass of its own, and its box on no other', () => {
    lives('ada', 'a1', 3)
    registers.set('ill', { barrier: 3 })
    lives('ill', 'a2', 3)
    const { walk } = open()
    expect(walk.stops.map(({ barrier, residents }) => [barrier, residents])).toEqual([
      [1, ['ada']],
      [3, ['ill']],
    ])
    const shelf = walk.stops[0]?.faces[0]?.shelves[0]?.map(({ enclosureId }) => enclosureId)
    expect(shelf).toEqual(['a1', 'free'])
  })

  it('draws the bay shelf by shelf and box by box, the empty ones too', () => {
    lives('ada', 'a2', 3)
    lives('ben', 'a2', 3)
    lives('cas', 'a3', 3)
    const { residents, walk } = open()
    const boxes = walk.stop?.faces[0]?.shelves.map((shelf) => shelf.map(({ residents }) => residents))
    expect(boxes).toEqual([[[], ['ada', 'ben'], []], [['cas']]])
    expect(['a1', 'a2', 'a3'].filter(residents.isTaken)).toEqual(['a2', 'a3'])
  })
})

describe('somebody whose sheet cannot answer', () => {
  it('is shown with that, and stops nobody else', () => {
    registers.set('ada', { sheet: 'unicorn' })
    lives('ada', 'a1', 3)
    lives('ben', 'a2', 3)
    const { residents } = open()
    expect(residents.dayOf('ada')).toMatchObject({ tasks: [], verdicts: [{ what: { code: 'noPlan' } }] })
    expect(residents.dayOf('ben').tasks.length).toBeGreaterThan(0)
  })
})

describe('what there is to do', () => {
  it('counts who is done and who is to be seen to; who has nothing today counts for neither', () => {
    lives('done', 'a1', 0)
    lives('due', 'a2', 3)
    const { walk } = open()
    expect(walk.progress(['done', 'due'])).toEqual({ done: 1, all: 2 })
    expect(walk.progress([])).toEqual({ done: 0, all: 0 })
  })

  it('finds the next from where one stands, and begins again at the end', () => {
    lives('ada', 'a1', 3)
    lives('ben', 'a2', 0)
    lives('cas', 'a3', 3)
    const { walk } = open()
    const next = ['ada', 'ben', 'cas', null].map((from) => walk.toDoAfter(from))
    expect(next).toEqual(['cas', 'cas', 'ada', 'ada'])
  })

  it('is, for one kind of duty, the next who is due for that', () => {
    lives('ada', 'a1', 3)
    lives('ben', 'a2', 3)
    const { walk } = open()
    expect([walk.toDoAfter('ada', 'feed'), walk.toDoAfter('ada', 'weigh')]).toEqual(['ben', null])
  })
})

describe('one touch', () => {
  it('says everything that is due as planned', () => {
    lives('ada', 'a1', 3)
    const { touch } = open()
    expect(touch('ada')).toBe(true)
    const [{ drafts, says } = { drafts: [], says: '' }] = kept
    expect(drafts.map(({ kind }) => kind)).toEqual(['fed', 'tended'])
    expect(drafts[0]?.payload).toMatchObject({ duty: 'feed', item: 'roaches', outcome: 'taken' })
    expect(says).toBe('ada: fed, water')
  })

  it('does nothing where nothing is due', () => {
    lives('ada', 'a1', 0)
    const { canTouch, touch } = open()
    expect([canTouch('ada'), touch('ada'), kept]).toEqual([false, false, []])
  })

  it('asks for the first number that is due, where one is', () => {
    lives('ada', 'a1', 0)
    lives('ben', 'a2', 0, entryOn(TODAY, { kind: 'weighed', payload: { grams: 61 } }))
    const { canTouch, keyOfNumber } = open()
    const book = smallBook()
    const { source: _, ...weigh } = dutyOf({ id: 'weigh', does: 'weigh' })
    const weighed = book.sheets.map((sheet) => ({
      ...sheet,
      stages: sheet.stages.map((stage) => ({ ...stage, duties: [...stage.duties, weigh] })),
    }))
    useSite().book = { ...book, sheets: weighed }
    expect(['ada', 'ben'].map((id) => [canTouch(id), keyOfNumber(id)])).toEqual([
      [false, 'w'],
      [false, undefined],
    ])
  })

  it('never feeds over a hold', () => {
    lives('ada', 'a1', 3, entryOn(TODAY - 2, { kind: 'ecdysis', payload: { stage: 'inBlue' } }))
    open().touch('ada')
    expect(kept.flatMap(({ drafts }) => drafts.map(({ kind }) => kind))).toEqual(['tended'])
  })

  it('says of many only what one duty asks, and how many they were', () => {
    for (const [id, box] of [
      ['ada', 'a1'],
      ['ben', 'a2'],
    ] as const)
      lives(id, box, 3)
    lives('cas', 'a3', 0)
    const { touchAll } = open()
    expect(touchAll(['ada', 'ben', 'cas'], 'Bay A', 'water')).toBe(2)
    expect(kept).toMatchObject([
      { says: 'Bay A: 2 as planned', drafts: [{ kind: 'tended' }, { kind: 'tended' }] },
    ])
  })

  it('says nothing that the person at the screen may not', () => {
    lives('ada', 'a1', 3)
    usePeople().me = { ...ME, person: { ...LOTTE, role: 'reader' } }
    const { touch } = open()
    expect([usePeople().mayWrite, touch('ada'), kept]).toEqual([false, false, []])
  })
})

describe('how many they are', () => {
  it('as last counted, else as the register has it', () => {
    registers.set('ants', { count: 120 }).set('lice', { count: 60 })
    lives('ants', 'a1', 0, entryOn(TODAY, { kind: 'counted', payload: { count: 180 } }))
    lives('lice', 'a2', 0)
    const { residents } = open()
    expect([residents.countOf('ants'), residents.countOf('lice')]).toEqual([180, 60])
  })
})
