import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import * as z from 'zod/mini'
import { readStored, useStored } from './useStored.ts'

const Names = z.array(z.string())

beforeEach(() => {
  localStorage.clear()
})

describe('what lies in a store of the browser', () => {
  it.each([
    ['nothing', null, null],
    ['what is of this shape', '["a","b"]', ['a', 'b']],
    ['a table, where a list is read', '{"a":["b"]}', null],
    ['a list of something else', '[1]', null],
    ['a word', 'a', null],
    ['half of it', '["a"', null],
  ])('%s is read back as %o', (_, text, read) => {
    expect(readStored(Names, text)).toEqual(read)
  })

  it.each([
    ['a table of an older page', '{"0":{"header":"Name"}}'],
    ['nonsense', 'undefined'],
    ['nothing at all', ''],
  ])('gives way to what is usual where there is %s', (_, text) => {
    localStorage.setItem('names', text)
    expect(useStored('names', Names, ['usual']).value).toEqual(['usual'])
  })

  it('is a word as it stands, as pages have always written it', async () => {
    localStorage.setItem('theme', 'dim')
    const theme = useStored<'day' | 'dim'>('theme', z.enum(['day', 'dim']), 'day')
    expect(theme.value).toBe('dim')
    theme.value = 'day'
    await nextTick()
    expect(localStorage.getItem('theme')).toBe('day')
    localStorage.setItem('other', 'plaid')
    expect(useStored<'day' | 'dim'>('other', z.enum(['day', 'dim']), 'day').value).toBe('day')
  })

  it('is written so that it is read back the same', async () => {
    const names = useStored('names', Names, [])
    names.value = ['a', 'b']
    await nextTick()
    expect(readStored(Names, localStorage.getItem('names'))).toEqual(['a', 'b'])
    const letters = useStored('letters', z.boolean(), true)
    letters.value = false
    await nextTick()
    expect(localStorage.getItem('letters')).toBe('false')
    expect(useStored('letters', z.boolean(), true).value).toBe(false)
  })
})
