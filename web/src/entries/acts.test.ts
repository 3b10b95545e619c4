import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createActs } from './acts.ts'

let by: string | undefined
let day: number

beforeEach(() => {
  globalThis.localStorage.clear()
  by = 'lotte'
  day = 20_585
})

const here = () => createActs({ author: () => by, today: () => day })
const act = (says: string) => ({ says, entries: [{ uid: `uid of ${says}`, subject: 'tamsin' }] })

describe('what was done here', () => {
  it('is taken back from the last to the first', () => {
    const acts = here()
    for (const says of ['fed', 'weighed', 'looked']) acts.done(act(says))
    expect(acts.last.value?.says).toBe('looked')
    expect([acts.undone()?.says, acts.undone()?.says, acts.last.value?.says]).toEqual([
      'looked',
      'weighed',
      'fed',
    ])
    acts.undone()
    expect([acts.last.value, acts.undone()]).toEqual([null, null])
  })

  it('reaches twenty acts back', () => {
    const acts = here()
    for (let number = 1; number <= 25; number += 1) acts.done(act(String(number)))
    const back = Array.from({ length: 21 }, () => acts.undone()?.says ?? null)
    expect([back[0], back[19], back[20]]).toEqual(['25', '6', null])
  })

  it('outlives a reload, with what has to be taken back and nothing more', () => {
    const first = here()
    first.done({
      says: 'moved',
      entries: [{ uid: 'u', subject: 's', act: 'a', payload: { why: 'So' } } as never],
    })
    const second = here()
    second.recall()
    expect(second.last.value).toEqual({ says: 'moved', entries: [{ uid: 'u', subject: 's', act: 'a' }] })
  })

  it('is that of one person, and of today', () => {
    here().done(act('fed'))
    by = 'priya'
    const priyas = here()
    priyas.recall()
    expect(priyas.last.value).toBeNull()
    by = 'lotte'
    day += 1
    const tomorrow = here()
    tomorrow.recall()
    expect(tomorrow.last.value).toBeNull()
  })

  it.each(['', 'null', '{{', '{"day":20585'])('is nothing where %j was kept', (kept) => {
    globalThis.localStorage.setItem('kobrin.acts.lotte', kept)
    const acts = here()
    acts.recall()
    expect(acts.last.value).toBeNull()
  })

  it('is remembered until the page is closed where this device has no room', () => {
    const setItem = vi.fn(() => {
      throw new DOMException('Full', 'QuotaExceededError')
    })
    vi.stubGlobal('localStorage', { setItem })
    const acts = here()
    acts.done(act('fed'))
    vi.unstubAllGlobals()
    expect([acts.last.value?.says, setItem.mock.calls.length]).toEqual(['fed', 1])
  })
})
