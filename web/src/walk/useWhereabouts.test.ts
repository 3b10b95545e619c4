import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { useWhereabouts } from './useWhereabouts.ts'

beforeEach(() => localStorage.clear())

describe('where somebody is on the walk', () => {
  it('outlives a reload', async () => {
    const before = useWhereabouts('lotte 20585')
    before.stopKey.value = '2 gatehouse'
    before.crossedTo.value = 2
    await nextTick()
    const after = useWhereabouts('lotte 20585')
    expect([after.stopKey.value, after.crossedTo.value]).toEqual(['2 gatehouse', 2])
  })

  it('begins anew for another person, and the next day', async () => {
    const who = shallowRef('lotte 20585')
    const { crossedTo } = useWhereabouts(who)
    crossedTo.value = 3
    await nextTick()
    who.value = 'priya 20585'
    await nextTick()
    expect(crossedTo.value).toBe(0)
    who.value = 'lotte 20586'
    await nextTick()
    expect(crossedTo.value).toBe(0)
  })

  it.each(['', '{', '7', '{"whose":"lotte 20585","crossedTo":9,"stopKey":null}'])(
    'is not led astray by "%s"',
    (text) => {
      localStorage.setItem('kobrin.whereabouts', text)
      expect(useWhereabouts('lotte 20585').crossedTo.value).toBe(0)
    },
  )
})
