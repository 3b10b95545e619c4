import type { Task } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { dutyOf, FEED, taskOf } from '../testing/residents.ts'
import { sheetOf, WEIGHT } from './sheet.ts'

const offering = { item: 'crickets', count: [4, 6] as [number, number], supplements: [], because: [] }
const duty = (id: string, does: Task['duty']['does'], more: object = {}) => dutyOf({ id, does, ...more })

const days: Record<string, Task[]> = {
  ada: [
    taskOf({ status: 'late', offering }),
    taskOf({ status: 'due' }, duty('clean', 'clean')),
    taskOf({ status: 'notYet' }, duty('measure', 'measure')),
    taskOf({ status: 'due' }, duty('weigh', 'weigh')),
  ],
  ben: [
    taskOf({ status: 'done', offering }, { ...FEED, label: 'Fruit' }),
    taskOf({ status: 'due' }, duty('look', 'look')),
    taskOf({ status: 'held' }, duty('water', 'water')),
    taskOf({ status: 'due' }, duty('read', 'read', { reads: { zone: 'warm end', what: 'celsius' } })),
  ],
}
const sheet = sheetOf(['ada', 'ben'], (id) => ({ tasks: days[id] ?? [] }))

describe('a sheet', () => {
  it('has a line for each resident, in the order of the walk', () => {
    expect(sheet.rows.map(({ resident }) => resident)).toEqual(['ada', 'ben'])
  })

  it('has a column for what anybody still has to do, in the order of the hand, with its unit', () => {
    expect(sheet.columns.map(({ name }) => name)).toEqual([
      'Look',
      'Feed',
      'Spot-clean',
      'Read warm end, temperature, °C',
    ])
  })

  it('keeps what is done or held of such a duty in its line, and nothing that is not due yet', () => {
    const [ada, ben] = sheet.rows
    const [, feed] = sheet.columns
    expect(ben?.tasks.get(feed?.key ?? '')?.map(({ status }) => status)).toEqual(['done'])
    expect([...(ben?.tasks.values() ?? [])].flat().map(({ status }) => status)).toContain('held')
    expect([...(ada?.tasks.values() ?? [])].flat().map((task) => task.duty.does)).not.toContain('measure')
  })

  it('knows whose weight is due, without a column of its own for that', () => {
    expect(sheet.rows.map(({ tasks }) => tasks.has(WEIGHT))).toEqual([true, false])
  })
})
