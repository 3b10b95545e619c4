import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import type { Cursor } from '../entries/order.ts'
import { compareCursors, cursorOf } from '../entries/order.ts'
import { lastOffered } from '../feeding/feedLine.ts'
import type { FamilyName } from '../subjects/families.ts'
import { FAMILY_NAMES, FACT_KINDS } from '../subjects/families.ts'
import { entryOn, FIRST_DAY, historiesOf, KEEPERS, told, uidOf } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../../judging/walk/residentDay.ts'
import { continueFrom } from './continueFrom.ts'
import { replay } from './replay.ts'

type Marked = Cursor & Record<string, unknown>

/** Every mark of a state by its path, those in lists apart. */
function marksIn(value: unknown, path = ''): [string, Marked][] {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return []
  if ('at' in value && 'uid' in value) return [[path, value as unknown as Marked]]
  return Object.entries(value).flatMap(([key, inner]) => marksIn(inner, `${path}/${key}`))
}

function splitAt(
  entries: readonly Entry[],
  at: number,
): [before: Entry[], late: Entry, after: Entry[]] | null {
  const late = entries[at % Math.max(1, entries.length)]
  if (!late || isAmendment(late)) return null
  const others = entries.filter((entry) => entry !== late)
  const amended = new Set(others.filter(isAmendment).map(({ payload }) => payload.target))
  if (amended.has(late.uid)) return null
  return [others, late, entries.slice(entries.indexOf(late) + 1)]
}

describe('an own entry that waits, and happened before what the server told', () => {
  it.each(FAMILY_NAMES)('undoes nothing of a %s that rests on a later fact', (family: FamilyName) => {
    fc.assert(
      fc.property(historiesOf(family, 20), fc.nat(20), (entries, at) => {
        const split = splitAt(entries, at)
        if (!split) return
        const [others, late] = split
        const base = replay(family, others)
        const { state, complete } = continueFrom(base, [late])
        const marks = new Map(marksIn(state))
        for (const [path, mark] of marksIn(base))
          if (path !== '/cursor' && compareCursors(mark, cursorOf(late)) > 0)
            expect([path, marks.get(path)]).toEqual([path, mark])
        if (base.cursor && compareCursors(cursorOf(late), base.cursor) < 0) expect(complete).toBe(false)
      }),
    )
  })

  it('tells done, seen and offered as the whole history does', () => {
    fc.assert(
      fc.property(historiesOf('resident', 20), fc.nat(20), (entries, at) => {
        const facts = entries.filter((entry) => !isAmendment(entry) && !STAYS.has(entry.kind))
        const split = splitAt(facts, at)
        if (!split) return
        const { state } = continueFrom(told(split[0]), [split[1]])
        const whole = told(facts)
        expect(state.done).toEqual(whole.done)
        expect(state.looking.seenOn).toBe(whole.looking.seenOn)
        for (const [duty, line] of Object.entries(whole.feeding.lines))
          expect(lastOffered(state.feeding.lines[duty])?.uid).toBe(lastOffered(line)?.uid)
      }),
    )
  })

  it('feeds nobody twice: what a colleague did later in the morning stays done', () => {
    const fed = (author: string, minute: number) =>
      entryOn(3, 'fed', { item: 'crickets', outcome: 'taken' }, { minute, author })
    const [mine, theirs] = [fed(KEEPERS[0], 480), fed(KEEPERS[1], 540)]
    const { state } = continueFrom(told([entryOn(0, 'arrived', { enclosure: uidOf(5) }), theirs]), [mine])
    const { tasks } = residentDay({ day: FIRST_DAY + 3, plan: planOf(), state })
    expect(tasks.find(({ duty }) => duty.id === 'feed')).toMatchObject({
      status: 'done',
      done: { uid: theirs.uid },
    })
  })
})

/** A stay that begins, ends or starts over in between is for the whole history to tell. */
const STAYS = new Set([
  'expected',
  'arrived',
  'moved',
  'died',
  'left',
  'lost',
  'merged',
  'companionDied',
  'registered',
])

describe('an entry of a kind that only a newer version knows', () => {
  it('is folded to what was known, and says that only the server can tell', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1 }).filter((kind) => !(FACT_KINDS as readonly string[]).includes(kind)),
        fc.jsonValue(),
        (kind, payload) => {
          fc.pre(kind !== 'corrected' && kind !== 'retracted')
          const odd = { ...entryOn(4, 'noted', { text: 'x' }), kind, payload } as unknown as Entry
          const known = told([entryOn(1, 'weighed', { grams: 60 })])
          const { state, complete } = continueFrom(known, [odd, entryOn(5, 'weighed', { grams: 61 })])
          expect(complete).toBe(false)
          expect(state.growth.weights.map(({ grams }) => grams)).toEqual([60, 61])
          expect(replay('resident', [odd])).toMatchObject({ growth: { weights: [] }, facts: 1 })
        },
      ),
    )
  })

  it('may be corrected or taken back without anybody here knowing what it was', () => {
    const odd = { ...entryOn(4, 'noted', { text: 'x' }), kind: 'sung' } as unknown as Entry
    const stamp = { ...odd, uid: uidOf(77), occurredAt: '2026-02-01T00:00:00.000Z' }
    const corrected = {
      ...stamp,
      kind: 'corrected',
      payload: { target: odd.uid, to: { kind: 'sung', payload: {} }, why: 'Another song' },
    } as unknown as Entry
    expect(continueFrom(told([]), [odd, corrected])).toMatchObject({ complete: false })
    expect(told([odd, corrected]).facts).toBe(1)
  })
})
