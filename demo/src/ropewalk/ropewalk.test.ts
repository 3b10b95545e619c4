import { may } from '@kobrin/contract'
import type { Entry, PlanRows, Visit } from '@kobrin/core'
import {
  civil,
  founds,
  isAmendment,
  isPlan,
  mayRecord,
  placeIn,
  planOf,
  PostedEntry,
  replay,
  walk,
} from '@kobrin/core'
import { readLibrary } from '@kobrin/server'
import { beforeAll, describe, expect, it } from 'vitest'
import type { House } from './ropewalk.ts'
import { ROPEWALK_ZONE, ropewalk } from './ropewalk.ts'

const sheets = readLibrary()
const NOW = Date.parse('2026-05-12T11:30:00.000Z')
const { day: TODAY, minute: MINUTE } = civil(NOW, ROPEWALK_ZONE)

let site: House
let visits: Visit[]

function byId<T extends { id: string }>(list: readonly T[]): Map<string, T> {
  return new Map(list.map((one) => [one.id, one]))
}

function today(told: House): Visit[] {
  const histories = new Map<string, Entry[]>(
    [...told.residents, ...told.enclosures].map(({ id }) => [id, []]),
  )
  for (const entry of told.entries) histories.get(entry.subject)?.push(entry)
  const building = { rooms: byId(told.rooms), bays: byId(told.bays), enclosures: byId(told.enclosures) }
  const rows: PlanRows = {
    sheets: byId(sheets),
    schools: told.schools,
    overrides: new Map(told.overrides.map(({ target, change }) => [target, [change]])),
  }
  const residents = told.residents.map(({ id }) => {
    const state = replay('resident', histories.get(id) ?? [])
    const { register, stay } = state
    const place = register && placeIn(building, stay.place?.enclosure, register.barrier)
    const plan = register && planOf(rows, { id, register }, TODAY)
    if (!place || !plan || !isPlan(plan)) throw new Error(`${register?.name ?? id} has no place or no plan.`)
    const { done: box, readings } = replay('place', histories.get(stay.place?.enclosure ?? '') ?? [])
    return { id, plan, state, place, box, readings: readings ?? {} }
  })
  return walk({ day: TODAY, minute: MINUTE, residents }).stops.flatMap((stop) => stop.visits)
}

beforeAll(() => {
  site = ropewalk({ sheets, nowMs: NOW, days: 300 })
  visits = today(site)
})

describe('the Ropewalk', () => {
  it('is a house of seven rooms, about 220 residents of some 30 kinds, and 8 staff of every role', () => {
    expect(site.rooms).toHaveLength(7)
    expect(site.residents.length).toBeGreaterThanOrEqual(200)
    expect(site.residents.length).toBeLessThanOrEqual(240)
    expect(new Set(site.residents.map(({ sheet }) => sheet)).size).toBeGreaterThanOrEqual(28)
    expect(site.people).toHaveLength(8)
    expect(new Set(site.people.map(({ role }) => role)).size).toBe(6)
  })

  it('tells the same story for the same seed, and another for another', () => {
    const short = { sheets, nowMs: NOW, days: 20 }
    expect(ropewalk(short)).toEqual(ropewalk(short))
    expect(ropewalk({ ...short, seed: 2 }).entries).not.toEqual(ropewalk(short).entries)
  })

  it('names everybody once', () => {
    const names = site.residents.map(({ name }) => name)
    expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([])
  })

  it('has no entry from the future, from before its resident came, or by somebody who may not', () => {
    const begunAt = new Map<string, string>()
    const roles = new Map(site.people.map(({ id, role }) => [id, role]))
    for (const entry of site.entries) {
      const { subject, occurredAt, author, kind } = entry
      if (!isAmendment(entry) && founds(entry)) begunAt.set(subject, occurredAt)
      const role = roles.get(author)
      if (occurredAt > new Date(NOW).toISOString()) throw new Error(`${kind} at ${occurredAt}`)
      // A box was there before anybody; a reading in it is of those that live there.
      if (kind === 'tended') continue
      const whose = kind === 'reading' ? entry.payload.resident : subject
      if (occurredAt < (begunAt.get(whose ?? '') ?? 'z')) throw new Error(`${kind} before the beginning`)
      if (!role || !may(role, 'writeEntries') || !mayRecord(role, kind)) throw new Error(`${kind} by ${role}`)
    }
    expect(site.residents.every(({ id }) => begunAt.has(id))).toBe(true)
  })

  it('says nothing that the server would not take', () => {
    const wrong = site.entries
      .filter((_, index) => index % 97 === 0)
      .flatMap(({ day: _day, ...posted }) => {
        const { error } = PostedEntry.safeParse(posted)
        return error ? [error.message] : []
      })
    expect(wrong).toEqual([])
  })

  it('has lived: sheds, refusals before them, slips and their corrections, moves, growth', () => {
    const kinds = new Set(site.entries.map(({ kind }) => kind))
    for (const kind of [
      'fed',
      'bowl',
      'weighed',
      'measured',
      'ecdysis',
      'moved',
      'corrected',
      'held',
      'observed',
    ] as const) {
      expect(kinds).toContain(kind)
    }
    const meals = site.entries.flatMap((entry) => (entry.kind === 'fed' ? [entry.payload.outcome] : []))
    const refused = meals.filter((outcome) => outcome === 'refused').length / meals.length
    expect(refused).toBeGreaterThan(0.005)
    expect(refused).toBeLessThan(0.2)
  })
})

describe("today's walk at the Ropewalk", () => {
  const tasks = () => visits.flatMap((visit) => visit.tasks)

  it('shows a task in every state', () => {
    const statuses = new Set(tasks().map(({ status }) => status))
    expect([...statuses].sort()).toEqual(['done', 'due', 'held', 'late', 'notYet', 'open'])
  })

  it('shows every barrier and every duty', () => {
    expect(new Set(visits.map(({ place }) => place.barrier))).toEqual(new Set([0, 1, 2, 3]))
    const does = new Set(tasks().map(({ duty }) => duty.does))
    for (const one of ['feed', 'water', 'clean', 'weigh', 'look', 'dampen'] as const)
      expect(does).toContain(one)
  })

  it('shows holds of many kinds and one that overstays', () => {
    const holds = visits.flatMap((visit) => visit.holds)
    expect(new Set(holds.map(({ hold }) => hold)).size).toBeGreaterThanOrEqual(6)
    expect(holds.some(({ overdue }) => overdue)).toBe(true)
  })

  it('shows verdicts to act on, to watch and to know', () => {
    const verdicts = visits.flatMap((visit) => visit.verdicts)
    expect(new Set(verdicts.map(({ severity }) => severity))).toContain('act')
    expect(new Set(verdicts.map(({ what }) => what.code)).size).toBeGreaterThanOrEqual(4)
  })

  it('asks for a life, not for a catastrophe: most are well, few are late', () => {
    const late = visits.filter((visit) => visit.tasks.some(({ status }) => status === 'late')).length
    const grave = visits.filter((visit) => visit.verdicts.some(({ severity }) => severity === 'act')).length
    expect(late / visits.length).toBeLessThan(0.5)
    expect(grave / visits.length).toBeLessThan(0.1)
  })
})
