import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { text, Uid } from '../subjects/values.ts'
import { Day } from '../../basics/time/day.ts'
import { Disposal } from './ended.ts'
import { residentKind } from './residentKind.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import type { ResidentState } from './residentState.ts'
import { withoutSome } from './withoutSome.ts'

/** Days after which deaths say nothing of today any more. */
const LATELY = 60
/** A record that is told of every single one is not kept longer than this. */
const MOST = 60

/** Remembers how many died when. */
function withDeaths(state: ResidentState, fact: Happening, count: number): ResidentState {
  const lately = (state.health.deaths ?? []).filter(({ day }) => fact.day - day <= LATELY)
  const deaths = [...lately, { ...markOf(fact), count }].slice(-MOST)
  return { ...state, health: { ...state.health, deaths } }
}

/** It died, or so many of a colony did. */
export const died = residentKind({
  payload: z.strictObject({
    count: z.optional(z.int().check(z.positive(), z.maximum(1_000_000))),
    why: z.optional(text),
    foundBy: z.optional(Uid).check(z.describe('Who found it, where that is not who writes it down.')),
    lastAlive: z.optional(Day).check(z.describe('The day it was last seen alive.')),
    postMortem: z.optional(z.literal(true)).check(z.describe('Somebody was asked to look into why.')),
    disposal: z.optional(Disposal),
  }),
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { count, postMortem, disposal } = fact.payload
    const left = withoutSome(state, fact, count, {
      how: 'died',
      ...(postMortem && { postMortem: { found: null } }),
      ...(disposal !== undefined && { disposal }),
    })
    return count === undefined ? left : withDeaths(left, fact, count)
  },
})
