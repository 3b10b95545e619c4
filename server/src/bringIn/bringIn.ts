import { TOUCH_COLUMNS, touchValues } from '../entries/touchRows.ts'
import type { BringIn, BroughtIn } from '@kobrin/contract'
import { advanced, readBookmark, sayBookmark, writtenNumber } from '@kobrin/contract'
import type { Entry, Sheet } from '@kobrin/core'
import { FOLD_REVISION, founds } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Changing } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { inChunks } from '../database/inChunks.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { createFoldMemory } from '../entries/foldMemory.ts'
import { insertEntries, insertRows } from '../entries/insertRows.ts'
import { foldsOf, knowledgeOf } from '../entries/knowledge.ts'
import type { PostingContext } from '../entries/posted.ts'
import { checked, isReceipt } from '../entries/posted.ts'
import type { Settled } from '../entries/settled.ts'
import { registrationOf, settled } from '../entries/settled.ts'
import { closedAtText } from '../entries/storedFold.ts'
import { judged, refusalOf } from '../entries/turn.ts'
import type { Registration } from '../entries/writeTogether.ts'
import { placeOfNumber } from '../entries/writeTogether.ts'
import { takeOwnPlaces } from '../streams/ownStream.ts'

/** Refusals that are told: anyone who mends a list does not read more at once. */
const REFUSALS_TOLD = 200
/** Names asked for at once. */
const ASKED = 5000

export interface BringingIn extends Changing {
  posting: PostingContext
  sheets: () => Promise<ReadonlyMap<string, Sheet>>
}

type Refusal = BroughtIn['refused'][number]

function refusal({ uid, code, message }: Refusal): Refusal {
  return { uid, code, message }
}

function isBefore(a: string, b: string): number {
  return a < b ? -1 : Number(a > b)
}

/** The entries of a list, signed by the person who brings it in and judged like those that a tablet posts; those first
 * that others build on. */
async function entriesIn(
  { facts }: BringIn,
  { author, posting }: BringingIn,
): Promise<{ entries: Entry[]; refused: Refusal[] }> {
  const entries: Entry[] = []
  const refused: Refusal[] = []
  for (const fact of facts) {
    const read = await checked({ ...fact, author: author.by, writtenAt: author.at }, posting)
    if (!isReceipt(read)) entries.push(read)
    else if (read.status === 'refused') refused.push(refusal(read))
  }
  const begins = (entry: Entry) => Number(entry.kind === 'registered' && founds(entry))
  entries.sort(
    (a, b) => begins(b) - begins(a) || isBefore(a.occurredAt, b.occurredAt) || isBefore(a.uid, b.uid),
  )
  return { entries, refused }
}

/** The names that something on record has already. */
async function knownOf(tx: Transaction, entries: readonly Entry[]): Promise<Set<string>> {
  const rows = await inChunks(entries, ASKED, (some) =>
    rowsOf<{ uid: string }>(tx, sql`select uid from entry where uid in ${some.map(({ uid }) => uid)}`),
  )
  return new Set(rows.flat().map(({ uid }) => uid))
}

async function writeRegister(
  tx: Transaction,
  registrations: readonly Registration[],
  year: number,
): Promise<void> {
  const newcomers = registrations.flatMap(({ subject, register, isNew }) =>
    isNew && register ? [{ subject, register }] : [],
  )
  const [row] = await rowsOf<{ last: number; prefix: string; digits: number }>(
    tx,
    sql`select last, prefix, digits from numbering where id = 1 for update`,
  )
  const scheme = row ?? { prefix: '', digits: 1 }
  let last = Math.max(
    row?.last ?? 0,
    ...newcomers.map(({ register }) => placeOfNumber(register.number ?? '')),
  )
  const rows = newcomers.map(({ subject, register: { number, name, sheet, stage, schools } }) => {
    if (number === undefined) last += 1
    const accession = number ?? writtenNumber(scheme, last, year)
    return [subject, accession, name, sheet, stage, JSON.stringify(schools)]
  })
  await insertRows(tx, 'insert into resident (id, accession, name, sheet_id, stage, schools)', rows)
  await tx.execute(sql`update numbering set last = ${last} where id = 1`)
  for (const { subject, register, isNew } of registrations)
    if (!isNew && register)
      await tx.execute(
        sql`update resident set name = ${register.name}, stage = ${register.stage} where id = ${subject}`,
      )
}

async function writeFolds(
  tx: Transaction,
  ends: readonly Settled[],
  last: { stream: number; seq: number },
): Promise<void> {
  const rows = ends.map(({ turn: { subject, family, was, upTo }, state }) => [
    subject,
    family,
    (was ?? 0) + 1,
    sayBookmark(advanced(readBookmark(upTo) ?? {}, last)),
    JSON.stringify(state),
    closedAtText(family, state),
    FOLD_REVISION,
  ])
  await insertRows(tx, 'insert into subject (id, family, version, up_to, state, closed_at, revision)', rows, {
    otherwise: `on duplicate key update version = values(version), up_to = values(up_to), state = values(state),
       closed_at = values(closed_at), revision = values(revision)`,
    size: 200,
  })
  const touches = ends.flatMap((end) => end.touches)
  await insertRows(tx, `insert ignore into touch (${TOUCH_COLUMNS})`, touches.map(touchValues))
}

/** Their folds are held from here on: nobody else writes about them until this is kept. */
async function hold(tx: Transaction, subjects: readonly string[]): Promise<void> {
  await inChunks(subjects, ASKED, (some) =>
    rowsOf(tx, sql`select id from subject where id in ${some} for update`),
  )
}

async function heldFolds(tx: Transaction, subjects: readonly string[]): ReturnType<typeof foldsOf> {
  await hold(tx, subjects)
  return foldsOf(tx, subjects, createFoldMemory())
}

/** Keeps the facts of a list, all of them or none, in one transaction with their folds. What is on record
 * already is passed over, so that the same list again changes nothing. */
export async function bringIn(by: BringingIn, list: BringIn): Promise<BroughtIn> {
  const { entries, refused } = await entriesIn(list, by)
  if (refused.length > 0) return { kept: 0, known: 0, refused: refused.slice(0, REFUSALS_TOLD) }
  return changing(by, async (tx) => {
    const subjects = [...new Set(entries.map(({ subject }) => subject))]
    await hold(tx, subjects)
    const known = await knownOf(tx, entries)
    const fresh = entries.filter(({ uid }) => !known.has(uid))
    const outcome = { known: entries.length - fresh.length, kept: 0, refused: [] }
    if (fresh.length === 0) return { changes: [], answer: outcome }
    const db = tx as unknown as Database
    const {
      accepted,
      refused: objections,
      turns,
    } = judged(fresh, await knowledgeOf(db, fresh, createFoldMemory(), by.sheets))
    if (objections.size > 0) {
      const some = [...objections].slice(0, REFUSALS_TOLD).map(([uid, code]) => refusal(refusalOf(uid, code)))
      return { changes: [], answer: { ...outcome, refused: some } }
    }
    const ends = await settled(db, turns, (others) => heldFolds(tx, others))
    const { stream, base } = await takeOwnPlaces(tx, by.stream, accepted.length)
    await insertEntries(
      tx,
      accepted.map((entry, index) => ({
        entry,
        family: turns.get(entry.subject)?.family ?? 'resident',
        stream,
        seq: base + index + 1,
        recordedAt: by.author.at,
      })),
    )
    await writeFolds(tx, ends, { stream, seq: base + accepted.length })
    await writeRegister(
      tx,
      ends.flatMap((end) => registrationOf(end) ?? []),
      new Date(by.author.at).getUTCFullYear(),
    )
    const what = { kind: 'broughtIn', file: list.file, facts: accepted.length } as const
    return { changes: [{ what, reason: '' }], answer: { ...outcome, kept: accepted.length } }
  })
}
