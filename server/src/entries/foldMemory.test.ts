import { emptyState } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { Fold } from './foldMemory.ts'
import { createFoldMemory } from './foldMemory.ts'

describe('the memory of folds', () => {
  const fold: Fold = { family: 'resident', state: emptyState('resident'), version: 3, upTo: '1:9' }

  it('recalls what was kept last, and of which family it is', () => {
    const memory = createFoldMemory()
    memory.keep('one', { ...fold, version: 2 })
    memory.keep('one', fold)
    expect(memory.recall('one')).toEqual(fold)
    expect(memory.familyOf('one')).toBe('resident')
    expect(memory.recall('two')).toBeUndefined()
  })

  it('forgets whom it is told to, but not that they are there', () => {
    const memory = createFoldMemory()
    for (const id of ['one', 'two', 'three']) memory.keep(id, fold)
    memory.forget(['one', 'three'])
    expect(['one', 'two', 'three'].filter((id) => memory.recall(id))).toEqual(['two'])
    expect(memory.familyOf('one')).toBe('resident')
  })

  it('never says by heart that a place is there', () => {
    const memory = createFoldMemory()
    memory.keep('box', { ...fold, family: 'place', state: emptyState('place') })
    memory.keepFamily('bay', 'place')
    expect([memory.recall('box')?.family, memory.familyOf('box'), memory.familyOf('bay')]).toEqual([
      'place',
      undefined,
      undefined,
    ])
  })

  it('forgets whoever was longest not written about, never the latest', () => {
    const memory = createFoldMemory()
    memory.keep('early', fold)
    for (let count = 0; count < 1999; count += 1) memory.keep(`resident ${count}`, fold)
    memory.keep('early', fold)
    memory.keep('latest', fold)
    const known = ['early', 'resident 0', 'latest'].map((id) => memory.recall(id) !== undefined)
    expect(known).toEqual([true, false, true])
  })
})
