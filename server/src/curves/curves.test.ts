import { OFFICE_ROUTES } from '@kobrin/contract'
import type { CurvesState } from '@kobrin/contract'
import { dayFromIso, offItsOwnCurve } from '@kobrin/core'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { curveFollower } from './curveFollower.ts'
import { fitAnew, fitWhoWaits } from './curves.ts'
import type { CurvesHere } from './curves.ts'
import { fittingApart } from './fitApart.ts'
import { rebuildFollower } from '../followers/follower.ts'
import { createSiteBook } from '../site/siteBook.ts'
import type { AppendingServer } from '../testing/appending.ts'
import { appendingServer } from '../testing/appending.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { entryBy, ZONE } from '../testing/smallSite.ts'

const NOON = new Date('2026-05-30T11:00:00.000Z')
const NIGHT = new Date('2026-05-31T02:30:00.000Z')
const HATCHED = dayFromIso('2024-06-01')
const WEEKS = 80
const RESTING = new AbortController().signal

let open: OpenApp
let server: AppendingServer
let here: CurvesHere
const of = (index: number) => open.site.residents[index]?.id ?? ''

/** A gecko that grows up as most do, weighed every week; lately it may stand elsewhere. */
function weighings(subject: string, { lately }: { lately: number }) {
  return Array.from({ length: WEEKS }, (_, week) => {
    const day = HATCHED + 7 * week
    const scatter = 1 + 0.01 * Math.sin(week * 2.7)
    const grams = 60 * (1 - 0.9 * Math.exp(-week / 20)) * scatter * (week >= WEEKS - 6 ? lately : 1)
    const at = `${new Date(day * 86_400_000).toISOString().slice(0, 10)}T09:00:00.000Z`
    return entryBy(
      open.site.person('keeper').id,
      { subject, kind: 'weighed', payload: { grams: Math.round(grams * 10) / 10 } },
      at,
    )
  })
}

const state = async () =>
  (await open.as.call({ method: 'GET', url: OFFICE_ROUTES.curves.url })).json<CurvesState>()

/** The same here, for anyone who does not ask whether it is done beside. */
const fittingHere: CurvesHere['fitting'] = {
  fit: (histories) => Promise.resolve(histories.map((history) => history && offItsOwnCurve(history))),
  close: () => Promise.resolve(),
}

/** Nobody waits. */
const idle: CurvesHere['fitting'] = {
  fit: () => Promise.reject(new Error('Nobody waits.')),
  close: () => Promise.resolve(),
}

beforeAll(async () => {
  open = await openApp('seniorKeeper', { now: () => NOON })
  server = appendingServer(open.base)
  here = {
    db: open.base.db,
    plans: createSiteBook(open.base.db).rows,
    fitting: fittingHere,
    now: () => NOON,
    siteZone: () => Promise.resolve(ZONE),
  }
  await server.append([...weighings(of(0), { lately: 1 }), ...weighings(of(1), { lately: 0.8 })])
})
afterAll(async () => {
  await server.close()
  await open.close()
})
beforeEach(() => fitWhoWaits(here, RESTING))

describe('growth curves of the house', () => {
  it('say who left its own, in a thread beside, and of how many', async () => {
    await fitAnew(open.base.db)
    await fitWhoWaits({ ...here, fitting: fittingApart() }, RESTING)
    const { off, ...counts } = await state()
    expect(counts).toEqual({ waiting: 0, of: 12 })
    expect(Object.keys(off)).toEqual([of(1)])
    const { grams, low, on, until } = off[of(1)] ?? expect.fail()
    expect(grams).toBeLessThan(low)
    expect(on).toBe(HATCHED + 7 * (WEEKS - 1))
    expect(on - until).toBeGreaterThanOrEqual(45)
  })

  it('follow a weighing that is taken back, and only of the one it is about', async () => {
    const strange = weighings(of(2), { lately: 0.8 })
    await server.append(strange)
    await fitWhoWaits(here, RESTING)
    expect(Object.keys((await state()).off).sort()).toEqual([of(1), of(2)].sort())
    const author = open.site.person('keeper').id
    await server.append(
      strange
        .slice(-6)
        .map(({ uid }) =>
          entryBy(
            author,
            { subject: of(2), kind: 'retracted', payload: { target: uid, why: 'Another animal' } },
            NOON.toISOString(),
          ),
        ),
    )
    let fitted = 0
    const counting: CurvesHere = {
      ...here,
      fitting: {
        ...here.fitting,
        fit(histories, signal) {
          fitted += histories.length
          return here.fitting.fit(histories, signal)
        },
      },
    }
    await fitWhoWaits(counting, RESTING)
    expect(fitted).toBe(1)
    expect(Object.keys((await state()).off)).toEqual([of(1)])
  })

  it('are looked over at night, once, and not by day', async () => {
    await fitWhoWaits({ ...here, fitting: idle }, RESTING)
    await fitWhoWaits({ ...here, now: () => NIGHT }, RESTING)
    await fitWhoWaits({ ...here, fitting: idle, now: () => new Date(NIGHT.getTime() + 600_000) }, RESTING)
    expect((await state()).waiting).toBe(0)
  })

  it('are fitted anew when asked, until somebody stops it; what waits for a weighing goes on waiting', async () => {
    const call = (method: 'POST' | 'DELETE') => open.as.call({ method, url: OFFICE_ROUTES.fitAnew.url })
    expect((await call('POST')).statusCode).toBe(204)
    expect((await state()).waiting).toBe(12)
    await open.base.pool.query("update resident_curve set due = 'weighed' where resident_id = ?", [of(0)])
    expect((await call('DELETE')).statusCode).toBe(204)
    const { waiting, off } = await state()
    expect(waiting).toBe(1)
    expect(Object.keys(off)).toEqual([of(1)])
  })

  it('stop where the house is closed meanwhile, and lose nobody', async () => {
    await fitAnew(open.base.db)
    const closing = new AbortController()
    const fitting = fitWhoWaits({ ...here, fitting: fittingApart() }, closing.signal)
    closing.abort()
    await fitting.catch(() => undefined)
    expect((await state()).waiting).toBe(12)
  })

  it('are the same when they are made anew from nothing, and for two servers at once', async () => {
    const before = await state()
    await rebuildFollower(open.base.db, curveFollower)
    expect(await state()).toMatchObject({ off: {}, waiting: 12 })
    await Promise.all([fitWhoWaits(here, RESTING), fitWhoWaits(here, RESTING)])
    expect(await state()).toEqual(before)
  })
})
