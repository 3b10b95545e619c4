import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Entry } from '../entries/entry.ts'
import type { FamilyName } from '../subjects/families.ts'
import { FAMILIES, FAMILY_NAMES } from '../subjects/families.ts'
import type { told } from '../../testing/histories.ts'
import { FIRST_DAY, historiesOf } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../../judging/walk/residentDay.ts'
import { replay } from './replay.ts'
import { asRevision3, fromRevision3 } from './revision3.ts'

interface Life {
  family: FamilyName
  entries: Entry[]
  /** As it was folded then. */
  state: object
  day: number
  /** What was asked for then: duty, status, due on. */
  tasks: [string, string, number | null][]
}

/** Written by the code of the third revision, and never changed. */
const { lives, entries } = JSON.parse(
  readFileSync(new URL('./kept/revision3.json', import.meta.url), 'utf8'),
) as { lives: Life[]; entries: Entry[] }

function asked(state: ReturnType<typeof told>, day: number): [string, string][] {
  const { tasks } = residentDay({ day, plan: planOf(), state })
  return tasks.map(({ duty, status }) => [duty.id, status])
}

describe('what was written before', () => {
  it.each(entries.map((entry) => [entry.kind, entry] as const))(
    '"%s" goes on being understood',
    (_, entry) => {
      expect(Entry.safeParse(entry).error).toBeUndefined()
    },
  )

  it.each(lives.map((life, index) => [`${life.family} ${index}`, life] as const))(
    'the life of %s folds to something of its own shape',
    (_, { family, entries: history }) => {
      expect(FAMILIES[family].state.safeParse(replay(family, history)).error).toBeUndefined()
    },
  )

  it.each(lives.map((life, index) => [`${life.family} ${index}`, life] as const))(
    'the fold of %s as it was stored then can be shown until it is folded again',
    (_, { family, state, day, tasks }) => {
      const shown = fromRevision3(family, state)
      expect(FAMILIES[family].state.safeParse(shown).error).toBeUndefined()
      if (family !== 'resident') return
      expect(asked(shown as never, day)).toEqual(tasks.map(([id, status]) => [id, status]))
    },
  )
})

describe('a page of before', () => {
  it.each(FAMILY_NAMES)(
    'is handed a fold of a %s that says the same when it is read as it read it',
    (family) => {
      fc.assert(
        fc.property(historiesOf(family, 20), (history) => {
          const state = replay(family, history)
          const again = fromRevision3(
            family,
            JSON.parse(JSON.stringify(asRevision3(family, state))) as object,
          )
          expect(FAMILIES[family].state.safeParse(again).error).toBeUndefined()
          if (family !== 'resident') return
          const day = Math.max(FIRST_DAY, ...history.map((entry) => entry.day)) + 1
          expect(asked(again as never, day)).toEqual(asked(state as never, day))
        }),
      )
    },
  )

  it('finds in it every field that it looks for', () => {
    const fields = (value: unknown, depth: number): unknown =>
      depth > 0 && value !== null && typeof value === 'object' && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, fields(inner, depth - 1)]))
        : Array.isArray(value)
          ? 'list'
          : value === null
            ? 'something'
            : typeof value
    for (const { family, entries: history, state } of lives) {
      const then = JSON.parse(JSON.stringify(asRevision3(family, replay(family, history)))) as object
      expect(Object.keys(then).sort()).toEqual(expect.arrayContaining(Object.keys(state).sort()))
      for (const [key, part] of Object.entries(state) as [keyof typeof then, unknown][]) {
        if (part === null || typeof part !== 'object' || Array.isArray(part)) continue
        if (['register', 'done', 'identity', 'readings'].includes(key)) continue
        const shape = fields(then[key], 1) as object
        const before = fields(part, 1) as object
        for (const name of Object.keys(before))
          expect([family, key, Object.keys(shape)]).toEqual([family, key, expect.arrayContaining([name])])
      }
    }
  })
})
