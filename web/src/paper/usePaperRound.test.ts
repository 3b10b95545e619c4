import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick } from 'vue'
import { loadRights } from '../people/rights.ts'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { entryOn, TODAY } from '../testing/residents.ts'
import { LOTTE, ME, smallBook, smallHouse } from '../testing/smallHouse.ts'
import { beginShift, kept, lives } from '../testing/standInRecord.ts'
import { usePaperRound } from './usePaperRound.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))

const MORNING = { day: TODAY, minute: 480 }

function sheetOnDay(day = TODAY) {
  const bay = smallHouse().bays[0]
  if (!bay) throw new Error('The house has no bay.')
  const face = { bay, shelves: [], residents: ['ada', 'ben'] }
  const round = effectScope().run(() => usePaperRound(face, day))
  if (!round) throw new Error('The scope had ended.')
  const column = (name: string) => round.sheet.value.columns.find((one) => one.name === name)?.key ?? name
  return {
    round,
    type: (who: string, name: string, text: string) => round.type(who, column(name), text),
    column,
  }
}

beforeAll(loadRights)

beforeEach(() => {
  beginShift()
  const weighed = [21, 14, 7].map((ago) => entryOn(TODAY - ago, { kind: 'weighed', payload: { grams: 60 } }))
  lives('ada', { enclosure: 'a1' }, ...weighed)
  lives('ben', { enclosure: 'a2' })
  useSite().site = smallHouse()
  useSite().book = smallBook()
})

const keptKinds = () => kept.flatMap(({ drafts }) => drafts.map(({ subject, kind }) => `${subject} ${kind}`))

describe('a sheet typed in', () => {
  it('is kept as one doing: the marks as they stand, a ticked line for all else that is due in it', () => {
    const { round, type } = sheetOnDay()
    type('ada', 'Feed', 'r')
    type('ada', 'all', 'v')
    type('ben', 'note', 'Digging')
    expect(round.keep(MORNING)).toBe(true)
    expect(keptKinds()).toEqual(['ada fed', 'a1 tended', 'ben noted'])
    expect(kept[0]?.drafts[0]).toMatchObject({ payload: { outcome: 'refused' } })
    expect(round.drafts.value).toEqual([])
  })

  it('is not kept while a cell means nothing; what was typed stays', () => {
    const { round, type, column } = sheetOnDay()
    type('ada', 'Feed', 'q')
    type('ben', 'Feed', 'v')
    expect(round.keep(MORNING)).toBe(false)
    expect(round.complaintAt('ada', column('Feed'))).toContain('“q” means nothing here')
    expect([round.wrong.value, kept]).toEqual([1, []])
    expect(round.typedIn('ada', column('Feed'))).toBe('q')
  })

  it('asks about a number that does not fit, once, and keeps it when it is insisted on', () => {
    const { round, type } = sheetOnDay()
    type('ada', 'weight', '612')
    expect(round.complaintAt('ada', 'weight')).toMatch(/612.*type 612!$/)
    type('ada', 'weight', '612!')
    expect(round.keep(MORNING)).toBe(true)
    expect(kept[0]?.drafts).toMatchObject([{ payload: { grams: 612, confirmed: true } }])
  })

  it('is there again after it was turned away from, for that bay and day', async () => {
    sheetOnDay().type('ada', 'note', 'Half a')
    await nextTick()
    expect(sheetOnDay().round.typedIn('ada', 'note')).toBe('Half a')
    expect(sheetOnDay(TODAY - 1).round.typedIn('ada', 'note')).toBe('')
  })

  it('says who may not enter something', () => {
    usePeople().me = { ...ME, person: { ...LOTTE, role: 'vet' } }
    const { round, type, column } = sheetOnDay()
    type('ada', 'Feed', 'v')
    expect(round.complaintAt('ada', column('Feed'))).toBe('Your role does not enter this.')
    type('ada', 'Feed', '')
    type('ada', 'weight', '60')
    expect(round.keep(MORNING)).toBe(true)
  })
})
