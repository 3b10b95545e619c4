import { describe, expect, it } from 'vitest'
import { replay } from '../fold/replay.ts'
import { entryOn, uidOf } from '../../testing/histories.ts'
import { placeVerdicts } from '../../judging/places/placeVerdicts.ts'

const left = entryOn(3, 'vacated', { resident: uidOf(1), leaves: 'toClean' })

describe('a place somebody moved out of', () => {
  it('waits to be cleaned until it is made ready', () => {
    expect(placeVerdicts(replay('place', [left]), false)).toMatchObject([
      { severity: 'watch', what: { code: 'vacated', leaves: 'toClean', resident: uidOf(1) } },
    ])
    const done = entryOn(4, 'readied', { floor: 'cleaned' })
    expect(placeVerdicts(replay('place', [left, done]), false)).toEqual([])
  })

  it('waits for nothing while somebody lives in it', () => {
    expect(placeVerdicts(replay('place', [left]), true)).toEqual([])
  })
})
