import { describe, expect, it } from 'vitest'
import { dutyOf, taskOf } from '../testing/residents.ts'
import { allAsPlanned, readCell, readNote, readWeight } from './readCell.ts'

const offering = {
  item: 'crickets',
  size: 'M',
  count: [4, 6] as [number, number],
  supplements: [],
  because: [],
}
const meal = taskOf({ status: 'due', offering })
const mash = taskOf({
  status: 'due',
  offering: { item: 'mash', grams: [8, 12], supplements: [], because: [] },
})
const bowl = taskOf(
  { status: 'due' },
  dutyOf({ id: 'bowl', does: 'feed', cadence: { type: 'whenEmpty', lookEvery: 1 } as never }),
)
const look = taskOf({ status: 'due' }, dutyOf({ id: 'look', does: 'look' }))
const lock = taskOf({ status: 'due' }, dutyOf({ id: 'lock', does: 'check', label: 'Lock' }))
const lies = taskOf(
  { status: 'due', leftToFind: { duty: 'feed', item: 'crickets', at: '', outBy: '' } },
  dutyOf({ id: 'takeOut:feed', does: 'look' }),
)
const length = taskOf({ status: 'due' }, dutyOf({ id: 'measure', does: 'measure' }))
const warm = taskOf(
  { status: 'due' },
  dutyOf({ id: 'read', does: 'read', reads: { zone: 'warm end', what: 'celsius' } }),
)

const WHOM = { resident: 'ada', home: 'a1', sheet: 'testling', part: 'length' as const }
const read = (typed: string, ...tasks: Parameters<typeof readCell>[2][number][]) =>
  readCell(typed, WHOM, tasks)
const payloadOf = (typed: string, ...tasks: Parameters<typeof readCell>[2][number][]) => {
  const told = read(typed, ...tasks)
  return told && 'drafts' in told ? told.drafts.map(({ kind, payload }) => ({ kind, ...payload })) : told
}

describe('a mark copied from paper', () => {
  it.each([
    ['v', meal, { kind: 'fed', item: 'crickets', size: 'M', count: 5, outcome: 'taken' }],
    [' V ', meal, { kind: 'fed', outcome: 'taken' }],
    ['r', meal, { kind: 'fed', outcome: 'refused' }],
    ['p', meal, { kind: 'fed', outcome: 'part' }],
    ['l', meal, { kind: 'fed', outcome: 'left' }],
    ['x', meal, { kind: 'fed', outcome: 'notOffered' }],
    ['3', meal, { kind: 'fed', count: 3, outcome: 'taken' }],
    ['7,5', mash, { kind: 'fed', item: 'mash', grams: 7.5 }],
    ['e', bowl, { kind: 'bowl', found: 'empty', refilled: true }],
    ['e', lies, { kind: 'bowl', duty: 'feed', found: 'empty' }],
    ['r', lies, { kind: 'bowl', duty: 'feed', found: 'full', leftFraction: 0.95 }],
    ['z', look, { kind: 'looked', seen: false }],
    ['v', lock, { kind: 'tended', does: 'check', duty: 'lock testling' }],
    ['182', length, { kind: 'measured', part: 'length', mm: 182 }],
    ['-2,5', warm, { kind: 'reading', zone: 'warm end', what: 'celsius', value: -2.5, resident: 'ada' }],
  ])('%s says what it stands for', (typed, task, says) => {
    expect(payloadOf(typed, task)).toMatchObject([says])
  })

  it('of an amount in grams says nothing of pieces', () => {
    expect(payloadOf('7,5', mash)).not.toMatchObject([{ count: expect.anything() as number }])
    expect(payloadOf('3', meal)).not.toMatchObject([{ grams: expect.anything() as number }])
  })

  it('of a reading is about the box, and says nothing where nobody lives in one', () => {
    expect(read('31', warm)).toMatchObject({ drafts: [{ subject: 'a1' }] })
    expect(readCell('31', { ...WHOM, home: undefined }, [warm])).toHaveProperty('complaint')
  })

  it.each([
    ['q', meal],
    ['z', meal],
    ['0', meal],
    ['r', look],
    ['v', lies],
    ['z', lies],
    ['v', warm],
    ['-3', length],
    ['1.5.2', warm],
    ['v', taskOf({ status: 'due', nothingToOffer: true })],
  ])('%s that means nothing there is told with what may be', (typed, task) => {
    expect(read(typed, task)).toMatchObject({ complaint: expect.stringContaining(`“${typed}”`) as string })
  })

  it('stands for every duty of its cell', () => {
    expect(payloadOf('v', meal, bowl)).toMatchObject([{ kind: 'fed' }, { kind: 'bowl' }])
    expect(payloadOf('e', meal, bowl)).toMatchObject([{ kind: 'bowl' }])
  })

  it('that is not there says nothing', () => {
    expect(read('  ', meal)).toBeNull()
  })
})

describe('what stands on every sheet', () => {
  it('a weight belongs to its duty where it is due, and is insisted on with a mark behind it', () => {
    expect(readWeight('61,5', 'ada')).toMatchObject({
      drafts: [{ payload: { grams: 61.5 } }],
      insists: false,
    })
    const due = taskOf({ status: 'due' }, dutyOf({ id: 'weigh', does: 'weigh' }))
    expect(readWeight('610 !', 'ada', due)).toMatchObject({
      drafts: [{ payload: { duty: 'weigh', grams: 610 } }],
      insists: true,
    })
    for (const wrong of ['heavy', '0', '-4', '4.1.2'])
      expect(readWeight(wrong, 'ada'), wrong).toHaveProperty('complaint')
  })

  it('a note is kept as it was written', () => {
    expect(readNote(' Left V at the door! ', 'ada')).toMatchObject({
      drafts: [{ kind: 'noted', payload: { text: 'Left V at the door!' } }],
    })
    expect(readNote(' ', 'ada')).toBeNull()
  })

  it('a line as planned is all that is due and asks for no number and no eyes on one lock', () => {
    const open = taskOf({ status: 'open', offering })
    const drafts = allAsPlanned(WHOM, [meal, look, lock, length, warm, open])
    expect(drafts.map(({ kind }) => kind)).toEqual(['fed', 'looked'])
  })
})
