import type { Task } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { dutyOf } from '../testing/residents.ts'
import { marksOf, sayMarks } from './marks.ts'

const task = (does: 'check' | 'feed' | 'look', label: string, rest: Partial<Task> = {}): Task => ({
  duty: { ...dutyOf({ id: label, does }), label },
  status: 'due',
  dueOn: 0,
  lateness: 0,
  daysOver: 0,
  because: [],
  ...rest,
})

const TASKS = [
  task('feed', 'Insects'),
  task('check', 'Lock', { status: 'late', daysOver: 2 }),
  task('check', 'Larder', { status: 'late', daysOver: 7 }),
  task('check', 'Probe'),
  task('look', 'Look', { status: 'done', done: { at: '', by: 'lotte', uid: '' } }),
  task('look', 'Later', { status: 'notYet' }),
]

describe('the marks of a box', () => {
  it('are one for each kind in each state, late by the latest, and none for what is not asked yet', () => {
    expect(
      marksOf(TASKS).map(({ does, status, names, daysOver }) => [does, status, names.length, daysOver]),
    ).toEqual([
      ['feed', 'due', 1, 0],
      ['check', 'late', 2, 7],
      ['check', 'due', 1, 0],
      ['look', 'done', 1, 0],
    ])
  })

  it('carry a second letter where the hand does something else than usual', () => {
    const spot = task('feed', 'Insects', {
      duty: { ...dutyOf({ id: 'feed', does: 'feed' }), label: 'Insects' },
    })
    const other = task('feed', 'Greens')
    expect(marksOf([spot, other, other]).map(({ sign, names }) => [sign, names.length])).toEqual([
      ['', 1],
      ['G', 2],
    ])
  })

  it('are told in one sentence a state, the gravest first, with who did it', () => {
    expect(sayMarks(marksOf(TASKS), () => 'Lotte Verhaege')).toBe(
      'Late: Lock, Larder. Due today: Insects, Probe. Done by Lotte Verhaege: Look.',
    )
    expect(sayMarks([], () => '')).toBe('')
  })
})
