import { describe, expect, it } from 'vitest'
import { FIRST_DAY, told } from '../testing/histories.ts'
import { planOf } from '../testing/plans.ts'
import { residentDay } from '../judging/walk/residentDay.ts'
import { STORIES } from './stories.ts'

describe('a keeper knows that', () => {
  it.each(STORIES.map((story) => [story.knows, story] as const))('%s', (_, { on, happened, of, is }) => {
    const state = told(happened)
    expect(of(state, residentDay({ day: FIRST_DAY + on, plan: planOf(), state }))).toEqual(is)
  })
})
