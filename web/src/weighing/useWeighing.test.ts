import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick } from 'vue'
import { useSite } from '../site/useSite.ts'
import { entryOn, TODAY } from '../testing/residents.ts'
import { NOON, smallBook, smallHouse } from '../testing/smallHouse.ts'
import { beginShift, kept, lives, recent, takenBack } from '../testing/standInRecord.ts'
import { useWeighing } from './useWeighing.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))

const TUB = { label: 'Blue tub', grams: 118 }

function atBalance({ tub = null as typeof TUB | null, tubs = [TUB] } = {}) {
  let done = 0
  const weighing = effectScope().run(() =>
    useWeighing('ada', { tub: () => tub, tubs, when: null, onKept: () => (done += 1) }),
  )
  if (!weighing) throw new Error('The scope had ended.')
  const type = async (shown: number | null) => {
    weighing.form.shown = shown
    await nextTick()
    weighing.submit()
  }
  return { weighing, type, keptCount: () => done }
}

beforeEach(() => {
  beginShift()
  const weighed = [35, 28, 21, 14, 7].map((ago, index) =>
    entryOn(TODAY - ago, { kind: 'weighed', payload: { grams: 60 + index / 5 } }),
  )
  lives('ada', { enclosure: 'a1' }, ...weighed)
  useSite().site = smallHouse()
  useSite().book = smallBook()
})

const payloads = () => kept.flatMap(({ drafts }) => drafts.map(({ payload }) => payload))

describe('a weight as expected', () => {
  it('is kept with one touch, and the next is in hand', async () => {
    const { weighing, type, keptCount } = atBalance()
    await type(61)
    expect(payloads()).toEqual([{ grams: 61 }])
    expect([weighing.question.value, weighing.form.shown, keptCount()]).toEqual([null, null, 1])
  })

  it('in a tub is kept without it, and says which', async () => {
    const { weighing, type } = atBalance({ tub: TUB })
    await type(179.1)
    expect(weighing.complaint.value).toBe('')
    expect(payloads()).toEqual([{ grams: 61.1, tub: TUB }])
  })
})

describe('a number that cannot be', () => {
  it.each([
    [null, /Type what the balance shows/],
    [0, /more than nothing/],
    [-61, /more than nothing/],
  ])('%s is told in words, and what was typed stays', async (shown, says) => {
    const { weighing, type } = atBalance()
    await type(shown)
    expect(weighing.complaint.value).toMatch(says)
    expect([weighing.form.shown, kept]).toEqual([shown, []])
  })

  it('under the tub alone asks for another tub', async () => {
    const { weighing, type } = atBalance({ tub: TUB })
    await type(100)
    expect(weighing.complaint.value).toMatch(/less than the empty tub/)
  })
})

describe('a number outside of what is expected', () => {
  it('is asked about where it stands, and forgotten when it is weighed again', async () => {
    const { weighing, type } = atBalance()
    await type(6.1)
    expect(weighing.question.value?.doubt).toMatchObject({ code: 'slippedDecimal' })
    expect(kept).toEqual([])
    weighing.again()
    expect([weighing.question.value, weighing.form.shown]).toEqual([null, null])
  })

  it('is kept as what was meant', async () => {
    const { weighing, type } = atBalance()
    await type(6.1)
    weighing.meant(61)
    expect(payloads()).toEqual([{ grams: 61 }])
  })

  it('is kept as it is when it was looked at twice, with what could explain it', async () => {
    const { weighing, type } = atBalance()
    await type(75)
    expect(weighing.contexts.value).toContain('fullGut')
    weighing.form.context = ['fullGut']
    weighing.settle('so')
    expect(payloads()).toEqual([{ grams: 75, confirmed: true, context: ['fullGut'] }])
  })

  it('is kept as suspect when nobody believes it', async () => {
    const { weighing, type } = atBalance()
    await type(75)
    weighing.settle('doubted')
    expect(payloads()).toEqual([{ grams: 75, doubted: true }])
  })

  it('is one with the tub left in it, or taken off twice', async () => {
    const bare = atBalance()
    await bare.type(179.1)
    expect(bare.weighing.question.value?.doubt).toMatchObject({ code: 'notTared' })
    const tared = atBalance({ tub: TUB })
    await tared.type(61.1)
    expect(tared.weighing.question.value?.doubt).toMatchObject({ code: 'taredTwice' })
    expect(kept).toEqual([])
  })

  it('is asked about anew when it is changed', async () => {
    const { weighing, type } = atBalance()
    await type(75)
    weighing.form.shown = 76
    await nextTick()
    expect(weighing.question.value).toBeNull()
    weighing.submit()
    expect(weighing.question.value).not.toBeNull()
  })
})

describe('a second weight within a minute', () => {
  const first = {
    ...entryOn(TODAY, { kind: 'weighed', payload: { grams: 61 } }, { subject: 'ada' }),
    occurredAt: new Date(NOON - 20_000).toISOString(),
  }

  it('is asked about, and both can stay', async () => {
    recent.set('ada', [first])
    const { weighing, type } = atBalance()
    await type(61.2)
    expect(weighing.question.value?.doubt).toMatchObject({ code: 'justWeighed', usual: 61 })
    weighing.settle('so')
    expect([payloads().length, takenBack]).toEqual([1, []])
  })

  it('can take the place of the first', async () => {
    recent.set('ada', [first])
    const { weighing, type } = atBalance()
    await type(61.2)
    await weighing.insteadOfFirst()
    expect([payloads().length, takenBack]).toEqual([1, [first.uid]])
  })

  it('is none when the first was long ago', async () => {
    recent.set('ada', [{ ...first, occurredAt: new Date(NOON - 120_000).toISOString() }])
    const { type } = atBalance()
    await type(61.2)
    expect(payloads()).toHaveLength(1)
  })
})
