import type { Draft } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { SheetHere, TypedSheetEvent } from './typedSheet.ts'
import { nothingTyped, readSheet, typedAt, typeIn } from './typedSheet.ts'

const NOON = { day: 20_000, minute: 720 }

/** Two lines of a sheet on which nothing is due; over 100 g is asked about, and "No" may not be noted here. */
const HERE: SheetHere = {
  sheet: { columns: [], rows: ['ada', 'ben'].map((resident) => ({ resident, tasks: new Map() })) },
  whomOf: (resident) => ({ resident, home: undefined, sheet: '', part: 'length' }),
  objectionTo(draft: Draft) {
    if (draft.kind === 'noted' && draft.payload.text === 'No') return { complaint: 'Your role does not.' }
    if (draft.kind !== 'weighed' || draft.payload.grams <= 100) return { keep: draft, asks: null }
    return { keep: { ...draft, payload: { ...draft.payload, confirmed: true } }, asks: 'More than ever.' }
  },
}

function sheet(...events: TypedSheetEvent[]) {
  let now = nothingTyped
  const kept: unknown[] = []
  for (const event of events) {
    const turn = typeIn(now, event, () => HERE)
    now = turn.now
    if (turn.does) kept.push({ ...turn.does, drafts: turn.does.drafts.map(({ payload }) => payload) })
  }
  return { now, kept, read: readSheet(now, HERE) }
}

const at = (resident: string, column: string, text: string): TypedSheetEvent => ({
  type: 'typedAt',
  resident,
  column,
  text,
})
const submitted: TypedSheetEvent = { type: 'submitted', when: NOON }

describe('a sheet that is typed in', () => {
  it('is kept whole, with the moment it is said of', () => {
    const { kept } = sheet(at('ada', 'weight', '61'), at('ben', 'note', ' Digging '), submitted)
    expect(kept).toEqual([{ when: NOON, drafts: [{ grams: 61 }, { text: 'Digging' }] }])
  })

  it('is not kept while one cell of it is wrong, and says which', () => {
    const { now, kept, read } = sheet(at('ada', 'weight', 'a lot'), at('ben', 'note', 'Digging'), submitted)
    expect([kept, read.wrong, typedAt(now, 'ada', 'weight')]).toEqual([[], 1, 'a lot'])
    expect([...(read.lines.get('ada')?.keys() ?? [])]).toEqual(['weight'])
    expect(read.drafts).toMatchObject([{ payload: { text: 'Digging' } }])
  })

  it('asks about what does not fit until it is insisted on', () => {
    const asked = sheet(at('ada', 'weight', '612'), submitted)
    expect(asked.read.lines.get('ada')?.get('weight')).toEqual({
      complaint: expect.stringMatching(/More than ever.*612!/) as string,
    })
    expect(asked.kept).toEqual([])
    expect(sheet(at('ada', 'weight', '612!'), submitted).kept).toEqual([
      { when: NOON, drafts: [{ grams: 612, confirmed: true }] },
    ])
  })

  it('never takes an insistence for a right', () => {
    expect(sheet(at('ada', 'note', 'No'), submitted)).toMatchObject({ kept: [], read: { wrong: 1 } })
  })

  it.each([
    ['q', 1],
    [' V ', 0],
    ['', 0],
  ])('reads "%s" at the head of a line', (mark, wrong) => {
    expect(sheet(at('ada', 'all', mark)).read.wrong).toBe(wrong)
  })

  it('is not kept where nothing was typed, and is empty once it was kept', () => {
    expect(sheet(submitted).kept).toEqual([])
    expect(sheet(at('ada', 'weight', '61'), submitted, { type: 'kept' }).now).toBe(nothingTyped)
  })
})
