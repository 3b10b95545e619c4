import type { Entry, Plan, Verdict } from '@kobrin/core'
import { residentDay } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { dutyOf, entryOn, planOf, stateOf, teller, TODAY } from '../testing/residents.ts'
import type { Question } from './questions.ts'
import { answerOf, QUESTIONS } from './questions.ts'

const arrived = entryOn(TODAY - 400, { kind: 'arrived', payload: { enclosure: 'box' } })
const sign = entryOn(TODAY - 3, { kind: 'ecdysis', payload: { stage: 'inBlue' } })
const falling = [1500, 1505, 1495, 1500, 1440, 1385, 1320].map((grams, index) =>
  entryOn(TODAY - (6 - index) * 14, { kind: 'weighed', payload: { grams } }),
)

function listsOf(entries: readonly Entry[], plan: Plan = planOf()): Question[] {
  const day = residentDay({ day: TODAY, plan, state: stateOf(arrived, ...entries) })
  return QUESTIONS.filter((question) => answerOf(question, day, day.verdicts, teller) !== null)
}

describe('a list that answers a question', () => {
  it('has whoever the record says it of, with the sentence and its reasons', () => {
    const day = residentDay({ day: TODAY, plan: planOf(), state: stateOf(arrived, ...falling) })
    const answer = answerOf('losing', day, day.verdicts, teller)
    expect(answer).toMatchObject({ severity: 'act', says: expect.stringMatching(/^Losing/) as string })
    expect(answer?.because.length).toBeGreaterThan(2)
    expect(listsOf(falling)).toContain('losing')
    expect(listsOf([])).not.toContain('losing')
  })

  it('has those whose skin must not be touched, and those who are due to be weighed', () => {
    expect(listsOf([sign])).toEqual(['notToHandle'])
    const weigh = dutyOf({ id: 'weigh', does: 'weigh', cadence: { type: 'every', days: 28, tolerance: 2 } })
    expect(listsOf([], planOf([weigh]))).toEqual(['notWeighed'])
    expect(
      listsOf([entryOn(TODAY - 1, { kind: 'weighed', payload: { grams: 60 } })], planOf([weigh])),
    ).toEqual([])
  })

  it('has the fat and the thin apart', () => {
    const scored = (score: number): Verdict[] => [
      { severity: 'watch', what: { code: 'condition', score, before: null, propose: [] }, because: [] },
    ]
    const listed = (score: number) =>
      QUESTIONS.filter((one) => answerOf(one, { tasks: [], holds: [] }, scored(score), teller) !== null)
    expect([listed(4), listed(2)]).toEqual([['gaining'], ['thin']])
  })

  it('has those who change prey or box within a month, and not those who do later', () => {
    const listed = (what: Verdict['what']) =>
      answerOf('nextStage', { tasks: [], holds: [] }, [{ severity: 'info', what, because: [] }], teller)
    expect(listed({ code: 'otherPrey', item: 'mice', from: 'S', to: 'M', on: TODAY + 9 })?.says).toMatch(
      /mice M from/,
    )
    const outgrows = (from: number) => ({ code: 'outgrows', on: from + 20, from, to: null }) as const
    expect(listed(outgrows(TODAY + 20))?.says).toMatch(/outgrow its box about/)
    expect(listed(outgrows(TODAY + 60))).toBeNull()
  })

  it('has those who do not fit their weight', () => {
    const slip = entryOn(TODAY, { kind: 'weighed', payload: { grams: 15 } })
    expect(listsOf([...falling.slice(0, 4), slip])).toContain('doubtful')
  })
})
