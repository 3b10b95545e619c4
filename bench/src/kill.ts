import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { isDeepStrictEqual } from 'node:util'
import type { Bookmark, Change, KeptEntry, Site } from '@kobrin/contract'
import { addressOf, advanced, ROUTES, sayBookmark } from '@kobrin/contract'
import type { PostedEntry } from '@kobrin/core'
import type { Asking } from './asking.ts'
import { askingAs, patiently } from './asking.ts'
import type { Figure } from './figures.ts'
import { FALLS, RestartedHouse } from './restarted.ts'
import { residentsOf } from './session.ts'
import { writing } from './writers.ts'

const WRITERS = 32
const KILLS = 20
/** Residents everyone writes about, so that they get in each other's way. */
const RESIDENTS = 40
/** Entries that have to be acknowledged after a kill before the next. */
const ENOUGH = 200

async function feedOf({ ask }: Asking): Promise<KeptEntry[]> {
  const feed: KeptEntry[] = []
  let read: Bookmark = {}
  for (;;) {
    const path = addressOf(ROUTES.since.url, {}, { after: sayBookmark(read) })
    const { entries } = await ask<{ entries: KeptEntry[] }>(path)
    if (entries.length === 0) return feed
    feed.push(...entries)
    read = entries.reduce(advanced, read)
  }
}

interface Placed {
  stream: number
  seq: number
}

/** Places that nobody stands at, in all streams. */
function gapsIn(places: readonly Placed[]): number {
  const last = new Map<number, number>()
  for (const { stream, seq } of places) last.set(stream, Math.max(seq, last.get(stream) ?? 0))
  return [...last.values()].reduce((sum, seq) => sum + seq, 0) - places.length
}

/** Whether what is kept says what was posted. */
function isAsPosted(kept: KeptEntry | undefined, posted: PostedEntry): boolean {
  if (!kept) return true
  const { uid, subject, kind, occurredAt, author, payload } = kept
  return isDeepStrictEqual({ uid, subject, kind, occurredAt, author, payload }, posted)
}

async function killedUnderWriters(house: RestartedHouse): Promise<Figure[]> {
  const asking = await patiently(() => askingAs('lotte', house.url))
  const residents = residentsOf(await asking.ask<Site>(ROUTES.site.url)).slice(0, RESIDENTS)
  const waits: number[] = []
  const { kept, stop } = writing(asking, residents, WRITERS)
  for (let kill = 0; kill < KILLS; kill += 1) {
    await sleep(300 + Math.random() * 700)
    await house.fall(FALLS[kill % FALLS.length] ?? 'server')
    const [before, since] = [kept.acknowledged.size, performance.now()]
    while (kept.acknowledged.size < before + ENOUGH) await sleep(20)
    waits.push(performance.now() - since)
  }
  await stop()

  const feed = await feedOf(asking)
  const told = await asking.ask<{ changes: Change[] }>(addressOf(ROUTES.changes.url, {}, { since: 0 }))
  const byUid = new Map(feed.map((entry) => [entry.uid, entry]))
  const damages = house.damages()
  await house.stop()
  const posted = [...kept.acknowledged.values()]
  const about = `${KILLS} kills (${FALLS.join(', ')}) under ${WRITERS} writers, ${posted.length} acknowledged, some late, amended, in batches; longest wait ${Math.round(Math.max(...waits))} ms`
  const none = (name: string, value: number): Figure => ({ name, value, limit: 0, about })
  return [
    none('kill-acknowledged-lost', posted.filter(({ uid }) => !byUid.has(uid)).length),
    none('kill-says-something-else', posted.filter((one) => !isAsPosted(byUid.get(one.uid), one)).length),
    none('kill-doubled', feed.length - byUid.size),
    none('kill-gaps', gapsIn([...feed, ...told.changes])),
    none('kill-refused', kept.refused),
    none('kill-500-that-stays', kept.stuck),
    none('kill-damages', damages),
    none('kill-folds-differing', house.differing()),
  ]
}

/** Server and database killed, alone, together and while they start, under many writers: what was
 * acknowledged is there as it was said, once and in an unbroken feed, and the folds say what the entries
 * say. */
export async function killFigures(): Promise<Figure[]> {
  const dataDir = await mkdtemp(join(tmpdir(), 'kobrin-kill-'))
  const house = new RestartedHouse(dataDir)
  try {
    return await killedUnderWriters(house)
  } finally {
    await house.stop()
    await rm(dataDir, { recursive: true, force: true })
  }
}
