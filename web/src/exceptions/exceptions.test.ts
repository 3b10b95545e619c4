import type { Draft, FactKind, KeptFloor, SheetGroup } from '@kobrin/core'
import { kindOf, residentDay, SheetGroup as Groups } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { KEYS } from '../walk/keys.ts'
import { dutyOf, entryOn, FEED, planOf, stateOf, TODAY } from '../testing/residents.ts'
import type { Ask } from './ask.ts'
import { draftsOf } from './ask.ts'
import { exceptionsFor } from './exceptions.ts'
import { readAnswers } from './readAnswers.ts'

const DUTIES = [
  FEED,
  ...(['water', 'clean', 'weigh', 'look', 'dampen'] as const).map((does) =>
    dutyOf({ id: does, does, litres: 0.2 }),
  ),
]
const UID = '01900000-0000-7000-8000-0000000000ff'
const FLOORS: KeptFloor[] = [
  {
    lot: UID,
    floor: {
      uid: UID,
      day: TODAY - 9,
      at: '',
      by: UID,
      of: UID,
      where: 'Larder',
      litres: null,
      lastLook: null,
      foundOn: null,
    },
  },
]

const TAMSIN = '01900000-0000-7000-8000-0000000000aa'

function exceptionsOf(
  group: SheetGroup = 'lizard',
  entries = [entryOn(TODAY - 5, { kind: 'looked', payload: { seen: true } })],
  boxLeft: string | null = null,
  home: string | null = UID,
) {
  const state = stateOf(...entries)
  const day = residentDay({ day: TODAY, plan: planOf(DUTIES), state })
  return exceptionsFor({
    residentId: TAMSIN,
    group,
    day,
    today: TODAY,
    state,
    floors: FLOORS,
    lives: 'colony',
    boxLeft,
    home,
    points: [
      { zone: 'warm end', what: 'celsius' },
      { zone: 'water', what: 'ph' },
    ],
  })
}

/** Every entry an ask can lead to, with its fields as they stand. */
function madeBy(ask: Ask): Draft[] {
  switch (ask.type) {
    case 'nothing':
      return [ask.draft]
    case 'page':
      return []
    case 'choice':
      return ask.options.flatMap((option) => madeBy(option.then))
    case 'number':
      return [ask.draft(61.5)]
    case 'text':
      return [ask.draft('Something')]
    case 'graded':
      return [ask.draft('Something', 'watch')]
    case 'form': {
      const typed = Object.fromEntries(
        ask.fields.map((field) => [
          field.name,
          field.value || (field.type === 'text' ? 'Because' : field.type === 'number' ? '3' : field.value),
        ]),
      )
      const read = readAnswers(ask.fields, typed)
      if ('complaint' in read) throw new Error(read.complaint)
      return [...draftsOf(ask.draft(read))]
    }
  }
}

function keyed(key: string) {
  const found = exceptionsOf().find((exception) => exception.key === key)
  if (!found) throw new Error(`Nothing on ${key}.`)
  return found
}

describe('what can be said besides "as planned"', () => {
  it.each(Groups.options)('every entry it can make about a %s would be taken by the server', (group) => {
    for (const { id, ask } of exceptionsOf(group)) {
      for (const { kind, payload } of madeBy(ask)) {
        const { payload: schema } = kindOf(kind as FactKind)
        expect(schema.safeParse(payload).error, id).toBeUndefined()
      }
    }
  })

  it('each stands where a hand looks for it, under a name of its own', () => {
    const ids = exceptionsOf().map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids.slice(0, 3)).toEqual(['part', 'refused', 'refusedInSight'])
    expect(ids.slice(-2)).toEqual(['someDied', 'gone'])
  })

  it('is only that it is here of somebody who is expected', () => {
    const expected = entryOn(TODAY, { kind: 'expected', payload: { enclosure: UID } })
    expect(exceptionsOf('snake', [expected]).map(({ id }) => id)).toEqual(['arrived'])
  })

  it('has a key of its own for each, and the help names it', () => {
    const keys = exceptionsOf('snake', [
      entryOn(TODAY - 2, { kind: 'held', payload: { hold: 'gravid', reason: 'Felt' } }),
    ]).map(({ key }) => key)
    const walk = ['j', 'f', 'u', 'i', 'b', '[', ']', '?', '/']
    expect(new Set([...keys, ...walk]).size).toBe(keys.length + walk.length)
    const helped = KEYS.flatMap(([shown]) => shown.split(' '))
    for (const key of keys) expect(helped).toContain(key)
  })

  it('a refusal is one touch and says what was offered', () => {
    expect(madeBy(keyed('r').ask)).toEqual([
      {
        subject: TAMSIN,
        kind: 'fed',
        payload: {
          duty: 'feed',
          item: 'crickets',
          size: 'M',
          count: 5,
          supplements: ['calcium'],
          outcome: 'refused',
        },
      },
    ])
  })

  it('another food is said with its amount, dust and outcome', () => {
    const { ask } = keyed('a')
    if (ask.type !== 'form') throw new Error('Not a form.')
    const typed = {
      item: '…',
      other: 'silkworms',
      size: 'L',
      count: '3',
      'dust calcium': '',
      outcome: 'part',
    }
    const read = readAnswers(ask.fields, typed)
    if ('complaint' in read) throw new Error(read.complaint)
    expect(draftsOf(ask.draft(read))[0].payload).toEqual({
      duty: 'feed',
      item: 'silkworms',
      size: 'L',
      count: 3,
      outcome: 'part',
    })
  })

  it('what is done to the box is said of the box it lives in, and of the animal where it lives nowhere', () => {
    const said = (home: string | null) =>
      exceptionsOf('lizard', undefined, null, home)
        .filter(({ key }) => 'cdy'.includes(key))
        .flatMap(({ ask }) => madeBy(ask))
        .map(({ subject, kind, payload }) => ({ subject, kind, ...payload }))
    expect(said(UID)).toEqual([
      { subject: UID, kind: 'tended', duty: 'clean', does: 'clean', scope: 'spot' },
      { subject: UID, kind: 'tended', duty: 'fullClean', does: 'clean', scope: 'full' },
      { subject: UID, kind: 'tended', duty: 'dampen', does: 'dampen', end: 'whole', litres: 0.2 },
      { subject: UID, kind: 'tended', duty: 'water', does: 'water', litres: 0.2 },
    ])
    expect(said(null).map(({ subject, kind }) => `${subject} ${kind}`)).toEqual([
      `${TAMSIN} cleaned`,
      `${TAMSIN} cleaned`,
      `${TAMSIN} dampened`,
      `${TAMSIN} watered`,
    ])
  })

  it('a hold carries its reason and its expected end', () => {
    const { ask } = keyed('h')
    const gravid =
      ask.type === 'choice' ? ask.options.find(({ label }) => label === 'Gravid')?.then : undefined
    if (gravid?.type !== 'form') throw new Error('Not a form.')
    const read = readAnswers(gravid.fields, { reason: 'Follicles felt', days: '30' })
    if ('complaint' in read) throw new Error(read.complaint)
    expect(draftsOf(gravid.draft(read))[0].payload).toEqual({
      hold: 'gravid',
      reason: 'Follicles felt',
      until: TODAY + 30,
    })
  })

  it('says that old skin is off only where there is some, part by part', () => {
    const off = (entries: Parameters<typeof exceptionsOf>[1]) =>
      exceptionsOf('snake', entries)
        .filter(({ id }) => id === 'skin')
        .flatMap(({ ask }) => madeBy(ask))
        .filter(({ kind }) => kind === 'skinCleared')
        .map(({ payload }) => payload)
    expect(off([])).toEqual([])
    const shed = { stage: 'shed', how: 'inPieces', retained: ['toes', 'eyeCaps'] } as const
    const payload = { ...shed, retained: [...shed.retained] }
    expect(off([entryOn(TODAY - 2, { kind: 'ecdysis', payload })])).toEqual([
      {},
      { parts: ['toes'] },
      { parts: ['eyeCaps'] },
    ])
  })

  it('young found in old floor are counted with the colony in one doing', () => {
    const { ask } = keyed('0')
    expect(madeBy(ask)).toEqual([
      { subject: UID, kind: 'floorChecked', payload: { found: 'babies', count: 3, became: 'recount' } },
      { subject: TAMSIN, kind: 'gained', payload: { count: 3, lot: UID } },
    ])
  })

  it('with the last one gone its box waits to be cleaned, in the same doing', () => {
    const counted = entryOn(TODAY - 5, { kind: 'counted', payload: { count: 1 } })
    const made = (box: string | null, count: number) => {
      const found = exceptionsOf('lizard', [counted], box).find(({ id }) => id === 'someDied')
      if (found?.ask.type !== 'form') throw new Error('It asks for a number.')
      const answers = { text: () => undefined, number: () => count, ticked: () => false }
      return draftsOf(found.ask.draft(answers)).map(({ subject, kind }) => `${subject} ${kind}`)
    }
    expect(made('box-1', 1)).toEqual([`${TAMSIN} died`, 'box-1 vacated'])
    expect(made(null, 1)).toEqual([`${TAMSIN} died`])
    expect(made('box-1', 0)).toEqual([`${TAMSIN} died`])
  })

  it('offers to lift only what a fact must end', () => {
    expect(exceptionsOf().map(({ id }) => id)).not.toContain('lift')
    const inBlue = exceptionsOf('snake', [
      entryOn(TODAY - 2, { kind: 'ecdysis', payload: { stage: 'inBlue' } }),
    ])
    expect(inBlue.map(({ id }) => id)).toContain('lift')
  })

  it('speaks of sheds to those that shed and of molts to those that molt', () => {
    const stages = (group: SheetGroup) =>
      exceptionsOf(group)
        .filter(({ id }) => id === 'skin')
        .flatMap(({ ask }) => madeBy(ask))
        .map(({ payload }) => ('stage' in payload ? payload.stage : ''))
    expect(stages('snake')).toContain('inBlue')
    expect(stages('snake')).not.toContain('molted')
    expect(stages('tarantula')).toContain('molted')
    expect(stages('tarantula')).not.toContain('inBlue')
  })
})
