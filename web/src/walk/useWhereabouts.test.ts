import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { useWhereabouts } from './useWhereabouts.ts'

const LOTTE = { whose: 'lotte', day: 20_585 }

beforeEach(() => localStorage.clear())

describe('where somebody is on the walk', () => {
  it('outlives a reload', async () => {
    const before = useWhereabouts(LOTTE)
    before.stopKey.value = '2 gatehouse'
    before.crossedTo.value = 2
    await nextTick()
    const after = useWhereabouts(LOTTE)
    expect([after.stopKey.value, after.crossedTo.value]).toEqual(['2 gatehouse', 2])
  })

  it('begins anew for another person', async () => {
    const whose = shallowRef('lotte')
    const { crossedTo } = useWhereabouts({ whose, day: 20_585 })
    crossedTo.value = 3
    await nextTick()
    whose.value = 'priya'
    await nextTick()
    expect(crossedTo.value).toBe(0)
  })

  it('begins anew the next day, but not under a hand', async () => {
    const day = shallowRef(20_585)
    const { stopKey } = useWhereabouts({ whose: 'lotte', day })
    stopKey.value = '2 gatehouse'
    await nextTick()
    day.value = 20_586
    await nextTick()
    expect(stopKey.value).toBe('2 gatehouse')
    expect(useWhereabouts({ whose: 'lotte', day }).stopKey.value).toBeNull()
  })

  it.each(['', '{', '7', '{"whose":"lotte","day":20585,"crossedTo":9,"stopKey":null}'])(
    'is not led astray by "%s"',
    (text) => {
      localStorage.setItem('kobrin.whereabouts', text)
      expect(useWhereabouts(LOTTE).crossedTo.value).toBe(0)
    },
  )
})
