import { crc32 } from 'node:zlib'
import { emptyState } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { createFoldMemory } from './foldMemory.ts'

describe('the memory of folds', () => {
  const state = { ...emptyState(), facts: 3 }
  const text = JSON.stringify(state)

  it('recalls what was written, and only while it still stands so in the database', () => {
    const memory = createFoldMemory()
    memory.keep('one', state, text)
    expect(memory.recall('one', crc32(text))).toEqual(state)
    expect(memory.recall('one', crc32(text.replace('3', '4')))).toBeUndefined()
    expect(memory.recall('two', crc32(text))).toBeUndefined()
  })

  it('forgets whoever was longest not written about, never the latest', () => {
    const memory = createFoldMemory()
    memory.keep('early', state, text)
    for (let count = 0; count < 1999; count += 1) memory.keep(`resident ${count}`, state, text)
    memory.keep('early', state, text)
    memory.keep('latest', state, text)
    const known = ['early', 'resident 0', 'latest'].map((id) => memory.recall(id, crc32(text)) !== undefined)
    expect(known).toEqual([true, false, true])
  })
})
