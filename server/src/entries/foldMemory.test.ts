import { crc32 } from 'node:zlib'
import { emptyState } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { createFoldMemory, foldOf } from './foldMemory.ts'

describe('the memory of folds', () => {
  const state = { ...emptyState(), facts: 3 }
  const fold = foldOf(state, JSON.stringify(state))

  it('recalls what was kept last, with the checksum the database makes of its text', () => {
    const memory = createFoldMemory()
    memory.keep('one', foldOf(emptyState(), '{}'))
    memory.keep('one', fold)
    expect(memory.recall('one')).toEqual({ state, checksum: crc32(JSON.stringify(state)) })
    expect(memory.recall('two')).toBeUndefined()
  })

  it('forgets whom it is told to', () => {
    const memory = createFoldMemory()
    for (const id of ['one', 'two', 'three']) memory.keep(id, fold)
    memory.forget(['one', 'three'])
    expect(['one', 'two', 'three'].filter((id) => memory.recall(id))).toEqual(['two'])
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
