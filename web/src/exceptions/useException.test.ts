import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import { loadRights } from '../people/rights.ts'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { entryOn, TODAY } from '../testing/residents.ts'
import { LOTTE, ME, smallBook, smallHouse } from '../testing/smallHouse.ts'
import { beginShift, kept, lives } from '../testing/standInRecord.ts'
import { useException } from './useException.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))
vi.mock('vue-router', () => ({ useRouter: () => ({ push: () => undefined }) }))

const weighed = (grams: number, daysAgo: number) =>
  entryOn(TODAY - daysAgo, { kind: 'weighed', payload: { grams } })

/** Somebody at the panel of a resident, as a keeper. */
function atPanelOf(first: string) {
  const looking = shallowRef(first)
  const onSaid = vi.fn()
  const saying = effectScope().run(() => useException(looking, onSaid))
  if (!saying) throw new Error('The scope had ended.')
  const choose = (id: string) => {
    const found = saying.exceptions.value.find((one) => one.id === id)
    if (!found) throw new Error(`"${id}" cannot be said here.`)
    saying.choose(found)
  }
  return { saying, choose, looking, onSaid }
}

beforeAll(loadRights)

beforeEach(() => {
  beginShift()
  lives('ada', { enclosure: 'a1' }, weighed(60, 21), weighed(61, 14), weighed(60, 7))
  lives('ben', { enclosure: 'a2' })
  useSite().site = smallHouse()
  useSite().book = smallBook()
})

describe('a number', () => {
  it('is kept as it was typed, and the panel is done with', () => {
    const { saying, choose, onSaid } = atPanelOf('ada')
    choose('weigh')
    saying.typed.value = '62,5'
    saying.submit()
    expect(kept).toMatchObject([{ drafts: [{ subject: 'ada', kind: 'weighed', payload: { grams: 62.5 } }] }])
    expect(kept[0]?.says).toMatch(/^ada: .*62.5 g/)
    expect(saying.ask.value).toBeNull()
    expect(onSaid).toHaveBeenCalledOnce()
  })

  it('that is none is asked for again in words, and stays as typed', () => {
    const { saying, choose } = atPanelOf('ada')
    choose('weigh')
    saying.typed.value = '6o'
    saying.submit()
    expect(saying.complaint.value?.complaint).toContain('"6o" is not a number of g')
    expect([saying.typed.value, kept]).toEqual(['6o', []])
  })

  it('with a slipped decimal is questioned; what it was meant to be is one touch away', () => {
    const { saying, choose } = atPanelOf('ada')
    choose('weigh')
    saying.typed.value = '6.1'
    saying.submit()
    expect(saying.question.value?.doubt).toMatchObject({ code: 'slippedDecimal', value: 6.1, instead: 61 })
    expect(kept).toEqual([])
    saying.takeInstead(61)
    expect(kept[0]?.drafts).toMatchObject([{ payload: { grams: 61 } }])
    expect(kept[0]?.drafts[0]?.payload).not.toHaveProperty('confirmed')
  })

  it('that somebody insists on is kept and says that it was looked at again', () => {
    const { saying, choose } = atPanelOf('ada')
    choose('weigh')
    saying.typed.value = '200'
    saying.submit()
    expect(saying.question.value?.doubt.code).toBe('farFromUsual')
    saying.typeAgain()
    expect([saying.question.value, saying.typed.value]).toEqual([null, '200'])
    saying.submit()
    saying.insist()
    expect(kept[0]?.drafts).toMatchObject([{ payload: { grams: 200, confirmed: true } }])
  })
})

describe('what was typed and not yet said', () => {
  it('is there again after looking at another animal, and only there', async () => {
    const { saying, choose, looking } = atPanelOf('ada')
    choose('weigh')
    saying.typed.value = '58'
    looking.value = 'ben'
    await nextTick()
    expect(saying.ask.value).toBeNull()
    choose('weigh')
    expect(saying.typed.value).toBe('')
    looking.value = 'ada'
    await nextTick()
    choose('weigh')
    expect(saying.typed.value).toBe('58')
  })

  it('is gone once it was said', () => {
    const { saying, choose } = atPanelOf('ada')
    choose('weigh')
    saying.typed.value = '61'
    saying.reset()
    choose('weigh')
    saying.submit()
    expect(kept).toHaveLength(1)
    choose('weigh')
    expect(saying.typed.value).toBe('')
  })
})

describe('a choice', () => {
  it('leads on by its key; a key that is none leads nowhere', () => {
    const { saying, choose } = atPanelOf('ada')
    choose('hold')
    expect(saying.option('99')).toBe(false)
    expect(saying.option('1')).toBe(true)
    expect(saying.ask.value?.type).toBe('form')
    saying.submit()
    expect(saying.complaint.value).not.toBeNull()
    saying.answer('reason', 'Digging, round belly')
    saying.answer('days', '20')
    saying.submit()
    expect(kept[0]?.drafts).toEqual([
      {
        subject: 'ada',
        kind: 'held',
        payload: { hold: 'gravid', reason: 'Digging, round belly', until: TODAY + 20 },
      },
    ])
  })
})

describe('words', () => {
  it('need a word or two, and a severity where one is asked for', () => {
    const { saying, choose } = atPanelOf('ada')
    const graded = saying.exceptions.value.find(({ ask }) => ask.type === 'graded')
    choose(graded?.id ?? '')
    saying.typed.value = '  '
    saying.submit('watch')
    expect(saying.complaint.value).toEqual({ complaint: 'Write a word or two first.' })
    saying.typed.value = ' Limps, left hind '
    saying.submit()
    expect(kept).toEqual([])
    saying.submit('act')
    expect(kept[0]?.drafts).toMatchObject([
      { kind: 'observed', payload: { text: 'Limps, left hind', severity: 'act' } },
    ])
  })
})

describe('who may say what', () => {
  it('a reader nothing, a volunteer less than a keeper', () => {
    const offered = (role: 'reader' | 'volunteer' | 'keeper') => {
      usePeople().me = { ...ME, person: { ...LOTTE, role } }
      return atPanelOf('ada').saying.exceptions.value.map(({ id }) => id)
    }
    const [reader, volunteer, keeper] = [offered('reader'), offered('volunteer'), offered('keeper')]
    expect(reader).toEqual([])
    expect(volunteer.length).toBeGreaterThan(0)
    expect(keeper).toEqual(expect.arrayContaining(volunteer))
    expect(keeper.length).toBeGreaterThan(volunteer.length)
  })
})
