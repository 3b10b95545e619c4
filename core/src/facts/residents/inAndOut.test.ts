import { describe, expect, it } from 'vitest'
import { countOf } from '../count/howMany.ts'
import { touchesOf } from '../entries/byKind.ts'
import { AFTER_DEATH } from '../looking/companionDied.ts'
import { entryOn, FIRST_DAY, NEWCOMER, retraction, told } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../../judging/walk/residentDay.ts'

const HERE = '00000000-0000-7000-8000-0000000000ff'
const OTHER = '00000000-0000-7000-8000-0000000000ee'
type Entries = Parameters<typeof told>[0]

const arrived = entryOn(0, 'arrived', { enclosure: HERE })
const registered = entryOn(0, 'registered', { ...NEWCOMER, count: 40 }, { minute: 1 })
const dayOf = (day: number, entries: Entries, plan = planOf()) =>
  residentDay({ day: FIRST_DAY + day, plan, state: told([arrived, ...entries]) })
const codesOn = (day: number, entries: Entries) => dayOf(day, entries).verdicts.map(({ what }) => what.code)
const lookOn = (day: number, entries: Entries, plan = planOf()) =>
  dayOf(day, entries, plan).tasks.find(({ duty }) => duty.id === AFTER_DEATH)

describe('one that shared its box with one that died', () => {
  const death = entryOn(4, 'companionDied', { companion: OTHER })
  const look = (day: number, minute = 600) =>
    entryOn(day, 'looked', { duty: AFTER_DEATH, seen: true }, { minute })

  it('is looked at that day, and says why', () => {
    const task = lookOn(4, [death])
    expect(task).toMatchObject({ status: 'due', duty: { does: 'look' } })
    expect(task?.because).toContainEqual(expect.objectContaining({ fact: 'companionDied', companion: OTHER }))
  })

  it('is late until somebody has looked, and asks no more afterwards', () => {
    expect(lookOn(6, [death])).toMatchObject({ status: 'late', daysOver: 2 })
    expect(lookOn(6, [death, look(6)])).toMatchObject({ status: 'done' })
    expect(lookOn(7, [death, look(6)])).toBeUndefined()
  })

  it('is looked at again after the next death, also on the same day', () => {
    const next = entryOn(4, 'companionDied', { companion: HERE }, { minute: 700 })
    expect(lookOn(4, [death, look(4), next])).toMatchObject({ status: 'due' })
  })

  it('is left alone where looking would harm it, and where the death is taken back', () => {
    const source = planOf().duties[0]?.source
    if (!source) throw new Error('The plan has duties.')
    const sealed = planOf({ holds: [{ hold: 'sealedIn', suppresses: ['look'], endsBy: 'event', source }] })
    const seals = entryOn(3, 'ecdysis', { stage: 'sealedIn' })
    expect(lookOn(4, [seals, death], sealed)).toMatchObject({ status: 'held', hold: 'sealedIn' })
    expect(lookOn(4, [death, retraction(death)])).toBeUndefined()
  })
})

describe('one that died', () => {
  const died = entryOn(4, 'died', { postMortem: true, disposal: 'notYet', lastAlive: FIRST_DAY + 3 })

  it('has nothing due, but its body and the answer stay open until they are seen to', () => {
    expect(dayOf(5, [died]).tasks).toEqual([])
    expect(codesOn(5, [died])).toEqual(['bodyWaits', 'postMortemOpen', 'gone'])
    const frozen = entryOn(5, 'examined', { disposal: 'frozen' })
    expect(codesOn(5, [died, frozen])).toEqual(['postMortemOpen', 'gone'])
    expect(codesOn(9, [died, frozen, entryOn(8, 'examined', { found: 'An impaction' })])).toEqual(['gone'])
  })

  it('is examined only once it is dead', () => {
    expect(told([arrived, entryOn(5, 'examined', { found: 'Nothing' })]).stay.ended).toBeNull()
  })
})

describe('one that is lent', () => {
  const lent = entryOn(4, 'left', { to: 'The school', as: 'lent', dueBack: FIRST_DAY + 30 })

  it('is asked for a week before it is due back, and pressed for after', () => {
    expect(codesOn(20, [lent])).toEqual(['gone'])
    expect(dayOf(23, [lent]).verdicts[0]).toMatchObject({ severity: 'watch', what: { code: 'dueBack' } })
    expect(dayOf(31, [lent]).verdicts[0]).toMatchObject({ severity: 'act', what: { code: 'dueBack' } })
  })

  it('begins a new stay when it comes back', () => {
    const back = told([arrived, lent, entryOn(29, 'arrived', { enclosure: OTHER })])
    expect(back.stay).toMatchObject({ ended: null, place: { enclosure: OTHER } })
  })
})

describe('one that nobody found', () => {
  it('is missing no more once it is given up', () => {
    const counted = entryOn(2, 'counted', { count: 0, expected: 1 })
    expect(codesOn(3, [counted])).toContain('unaccounted')
    expect(codesOn(4, [counted, entryOn(4, 'lost', { why: 'Searched for a month' })])).toEqual(['gone'])
  })
})

describe('colonies that are split and merged', () => {
  it('lose those that begin one of their own', () => {
    expect(countOf(told([registered, arrived, entryOn(3, 'parted', { count: 15, into: OTHER })]))).toBe(25)
    expect(countOf(told([arrived, entryOn(3, 'parted', { count: 15, into: OTHER })]))).toBeNull()
  })

  it('gain those that are put in with them, who end', () => {
    expect(countOf(told([registered, arrived, entryOn(3, 'gained', { count: 5, from: OTHER })]))).toBe(45)
    expect(told([arrived, entryOn(3, 'merged', { into: OTHER })]).stay).toMatchObject({
      place: null,
      ended: { how: 'merged' },
    })
  })

  it('touch one another, so that either record leads to the other', () => {
    expect(touchesOf(entryOn(3, 'parted', { count: 15, into: OTHER }))).toEqual([
      { family: 'resident', subject: OTHER, how: 'partedInto', amount: { value: 15, unit: 'animals' } },
    ])
    expect(touchesOf(entryOn(3, 'gained', { count: 5, from: OTHER }))).toEqual([
      { family: 'resident', subject: OTHER, how: 'tookIn', amount: { value: 5, unit: 'animals' } },
    ])
  })
})

describe('who somebody is', () => {
  it('is what was said last of each', () => {
    const { identity } = told([
      entryOn(1, 'described', { chip: '985 1', marks: 'A nick in the tail' }),
      entryOn(2, 'described', { chip: '985 2', origin: 'wild' }),
    ])
    expect(identity).toEqual({ chip: '985 2', marks: 'A nick in the tail', origin: 'wild', permits: [] })
  })
})

describe('a licence', () => {
  const until = (days: number) => entryOn(1, 'permitted', { number: 'L-77', until: FIRST_DAY + days })
  const ends = (day: number, entries: Entries) =>
    dayOf(day, entries).verdicts.find(({ what }) => what.code === 'permitEnds')

  it.each([
    [39, undefined],
    [40, 'watch'],
    [85, 'watch'],
    [86, 'act'],
    [140, 'act'],
  ])('that ends on day 100 is spoken of on day %i as %s', (day, severity) => {
    expect(ends(day, [until(100)])?.severity).toBe(severity)
  })

  it('is spoken of no more when it is renewed, has no end, or is not needed any more', () => {
    expect(ends(90, [until(100), until(400)])).toBeUndefined()
    expect(ends(90, [entryOn(1, 'permitted', { number: 'L-77', until: null })])).toBeUndefined()
    const withdrawn = { number: 'L-77', until: FIRST_DAY + 100, withdrawn: true as const }
    expect(ends(90, [until(100), entryOn(2, 'permitted', withdrawn)])).toBeUndefined()
    expect(ends(90, [until(100), entryOn(2, 'permitted', { number: 'L-78', until: null })])).toBeDefined()
  })
})
