import { describe, expect, it } from 'vitest'
import { emptyBuild } from '../../facts/enclosures/box.ts'
import { Sheet } from '../../plans/sheet/sheet.ts'
import { planOf } from '../../testing/plans.ts'
import type { SiteMeans } from './acceptance.ts'
import { acceptance } from './acceptance.ts'

const sheet = Sheet.parse({
  id: 'testling',
  common: 'Testling',
  latin: 'Testudo testis',
  group: 'salamander',
  lives: 'individual',
  competence: 'cold rooms',
  people: 2,
  licence: 'Protected.',
  stages: [
    {
      id: 'adult',
      name: 'Adult',
      duties: [{ id: 'look', does: 'look', cadence: { type: 'every', days: 1 } }],
    },
  ],
  targets: [{ zone: 'floor', celsius: [12, 18], ceilingCelsius: 22 }],
  sources: ['common husbandry practice'],
})
const plan = planOf({ housing: { lengthMm: 600, hides: 1 }, targets: sheet.targets })
const box = { widthMm: 600, depthMm: 400, heightMm: 300 }
const furnished = { ...emptyBuild(), furniture: [{ what: 'hide' as const }] }

function judged(means: Partial<SiteMeans>) {
  const all = acceptance(sheet, plan, { rooms: [], free: [], people: [], ...means }, 100)
  return Object.fromEntries(all.map((condition) => [condition.about, condition]))
}

describe('can this site keep it?', () => {
  it('asks for a room that stays below what harms it', () => {
    const rooms = [
      { id: 'cellar', celsius: [10, 20] as [number, number] },
      { id: 'hall', celsius: [20, 27] as [number, number] },
      { id: 'shed', celsius: null },
    ]
    expect(judged({ rooms })['room']).toMatchObject({
      severity: 'info',
      fitting: ['cellar'],
      unread: ['shed'],
      ceiling: 22,
    })
    expect(judged({ rooms: rooms.slice(1, 2) })['room']).toMatchObject({ severity: 'act', fitting: [] })
    expect(judged({ rooms: rooms.slice(2) })['room']).toMatchObject({ severity: 'watch' })
  })

  it('asks for a room without frost for one that must not be warmed', () => {
    const rooms = [{ id: 'shed', celsius: [1, 18] as [number, number] }]
    const mild = { ...plan, targets: [{ zone: 'floor', ceilingCelsius: 22, neverBelowCelsius: 3 }] }
    const [asked] = acceptance(sheet, { ...mild, coolLoving: true }, { rooms, free: [], people: [] }, 100)
    expect(asked).toMatchObject({ about: 'room', severity: 'act', fitting: [], neverBelow: 3 })
    const heated = acceptance(sheet, mild, { rooms, free: [], people: [] }, 100)
    expect(heated).toContainEqual(expect.objectContaining({ about: 'room', fitting: ['shed'] }))
  })

  it('asks for a place that is ready, and names what the nearest lack', () => {
    const free = [
      { id: 'bare', room: 'cellar', box, build: emptyBuild() },
      { id: 'tight', room: 'cellar', box: { ...box, widthMm: 300 }, build: emptyBuild() },
    ]
    expect(judged({ free })['place']).toMatchObject({
      severity: 'act',
      nearly: [{ id: 'bare', findings: [{ code: 'fewHides' }] }, { id: 'tight' }],
    })
    const ready = [...free, { id: 'done', room: 'cellar', box, build: furnished }]
    expect(judged({ free: ready })['place']).toMatchObject({ severity: 'info', ready: ['done'] })
  })

  it('asks for room for as many as come, and for a start of them where nobody says', () => {
    const numbers = { perLitre: [1, 2] as [number, number], per100Cm2: [1, 1] as [number, number], start: 5 }
    const many = planOf({ lives: 'colony', housing: { numbers }, targets: sheet.targets })
    const free = [{ id: 'box', room: 'cellar', box, build: emptyBuild() }]
    const placeFor = (count?: number) =>
      acceptance(sheet, many, { rooms: [], free, people: [], count }, 100).find(
        ({ about }) => about === 'place',
      )
    expect(placeFor()).toMatchObject({ ready: ['box'] })
    expect(placeFor(24)).toMatchObject({ ready: ['box'] })
    expect(placeFor(60)).toMatchObject({ severity: 'act', nearly: [{ findings: [{ code: 'tooMany' }] }] })
  })

  it('asks for two who are cleared, and reminds of the law', () => {
    const people = [
      { id: 'ada', competences: ['cold rooms'] },
      { id: 'bo', competences: [] },
    ]
    const answer = judged({ people })
    expect(answer['competence']).toMatchObject({ severity: 'info', people: ['ada'] })
    expect(answer['people']).toMatchObject({ severity: 'act', needs: 2, has: 1 })
    expect(answer['licence']).toMatchObject({ severity: 'watch', reminder: 'Protected.' })
  })

  it('puts what forbids it first', () => {
    const severities = acceptance(sheet, plan, { rooms: [], free: [], people: [] }, 100).map(
      ({ severity }) => severity,
    )
    expect(severities).toEqual(
      [...severities].sort(
        (a, b) => ['act', 'watch', 'info'].indexOf(a) - ['act', 'watch', 'info'].indexOf(b),
      ),
    )
    expect(severities[0]).toBe('act')
  })
})
