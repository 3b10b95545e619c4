import type { SiteSeed } from '@kobrin/contract'
import type { Entry, FamilyName } from '@kobrin/core'
import { effectiveFacts, emptyState, isAmendment, isoDay, kindOf, replay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { change } from '../changes/tables.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { inChunks } from '../database/inChunks.ts'
import { foldHearers } from '../entries/rebuild.ts'
import { insertEntries } from '../entries/insertRows.ts'
import { closedAtOf } from '../entries/storedFold.ts'
import { subject, touch } from '../entries/tables.ts'
import { touchRows } from '../entries/touchRows.ts'
import { renewLibrary } from '../library/commands.ts'
import { hashSecret } from '../people/passphrase.ts'
import { staff } from '../people/tables.ts'
import { bayRow, boxRow, residentRow, roomRow } from '../site/placeRows.ts'
import * as site from '../site/tables.ts'

const ROWS_PER_INSERT = 2000
const STATES_PER_INSERT = 200
/** Of the numbers that are given out, as long as a house has not chosen otherwise. */
const DIGITS = 4
/** What was brought in stands in the first stream. */
const STREAM = 1

async function loadPeople(tx: Transaction, seed: SiteSeed): Promise<void> {
  const rows = await Promise.all(
    seed.people.map(async ({ passphrase, pin, ...person }) => ({
      ...person,
      passphraseHash: await hashSecret(passphrase),
      pinHash: pin === null ? null : await hashSecret(pin),
    })),
  )
  await tx.insert(staff).values(rows)
}

async function loadPlaces(tx: Transaction, seed: SiteSeed): Promise<void> {
  const { name, zone, schools } = seed
  await tx.insert(site.site).values({ id: 1, name, zone, schools })
  await tx.insert(site.room).values(seed.rooms.map(roomRow))
  await tx.insert(site.bay).values(seed.bays.map(bayRow))
  await inChunks(seed.enclosures.map(boxRow), ROWS_PER_INSERT, (chunk) =>
    tx.insert(site.enclosure).values(chunk),
  )
}

interface History {
  family: FamilyName
  lastSeq: number
  entries: Entry[]
}

/** Every subject with its history: places are there before anything is said about them. */
function historiesIn({ rooms, bays, enclosures, entries }: SiteSeed): Map<string, History> {
  const histories = new Map<string, History>()
  for (const { id } of [...rooms, ...bays, ...enclosures])
    histories.set(id, { family: 'place', lastSeq: 0, entries: [] })
  entries.forEach((entry, index) => {
    let history = histories.get(entry.subject)
    if (!history) {
      if (isAmendment(entry)) throw new Error(`Nothing is said about ${entry.subject} before it is amended.`)
      history = { family: kindOf(entry.kind).family, lastSeq: 0, entries: [] }
      histories.set(entry.subject, history)
    }
    history.entries.push(entry)
    history.lastSeq = index + 1
  })
  return histories
}

async function loadEntries(
  tx: Transaction,
  entries: readonly Entry[],
  histories: ReadonlyMap<string, History>,
): Promise<void> {
  await insertEntries(
    tx,
    entries.map((entry, index) => {
      const { family } = histories.get(entry.subject) ?? { family: 'resident' }
      return { entry, family, stream: STREAM, seq: index + 1, recordedAt: entry.occurredAt }
    }),
  )
}

async function loadSubjects(tx: Transaction, histories: ReadonlyMap<string, History>): Promise<void> {
  const rows = [...histories].map(([id, { family, lastSeq, entries }]) => {
    const isSilent = entries.length === 0
    const state = isSilent ? emptyState(family) : replay(family, entries)
    const upTo = isSilent ? '' : `${STREAM}:${lastSeq}`
    return { id, family, version: isSilent ? 0 : 1, upTo, state, closedAt: closedAtOf(family, state) }
  })
  await inChunks(rows, STATES_PER_INSERT, (chunk) => tx.insert(subject).values(chunk))
  const touches = [...histories.values()].flatMap(({ entries }) => effectiveFacts(entries).flatMap(touchRows))
  await inChunks(touches, ROWS_PER_INSERT, (chunk) => tx.insert(touch).values(chunk))
  const registers = rows.flatMap(({ id, state }) =>
    'register' in state && state.register ? { id, register: state.register } : [],
  )
  const numbered = registers.map(({ id, register }, index) =>
    residentRow(id, String(index + 1).padStart(DIGITS, '0'), register),
  )
  await inChunks(numbered, ROWS_PER_INSERT, (chunk) => tx.insert(site.resident).values(chunk))
  await tx.update(site.numbering).set({ last: numbered.length })
}

/** Signed changes of the past, with a line each in the feed after the entries. */
async function loadOverrides(tx: Transaction, { overrides, entries }: SiteSeed): Promise<number> {
  if (overrides.length > 0) {
    await tx.insert(site.planOverride).values(overrides.map((row, number) => ({ ...row, number })))
    await tx.insert(change).values(
      overrides.map(({ target, change: signed }, index) => ({
        stream: STREAM,
        seq: entries.length + index + 1,
        at: signed.at ?? `${isoDay(signed.on)}T08:00:00.000Z`,
        day: signed.on,
        by: signed.by,
        what: { kind: 'override', target, change: signed } as const,
        reason: signed.reason,
      })),
    )
  }
  return entries.length + overrides.length
}

/** Sets up a site with its people, places, residents and whole history, all or nothing. */
export async function loadSeed(db: Database, seed: SiteSeed): Promise<void> {
  await renewLibrary(db, seed.sheets)
  const histories = historiesIn(seed)
  await db.transaction(async (tx) => {
    await loadPeople(tx, seed)
    await loadPlaces(tx, seed)
    await loadEntries(tx, seed.entries, histories)
    await loadSubjects(tx, histories)
    await foldHearers(tx)
    const last = await loadOverrides(tx, seed)
    await tx.execute(
      sql`insert into stream (id, holder, held_until, seq) values (${STREAM}, uuid(), '2000-01-01', ${last})
          on duplicate key update seq = values(seq)`,
    )
  })
}
