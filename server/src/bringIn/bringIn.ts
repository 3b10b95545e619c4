import { TOUCH_COLUMNS, touchValues } from '../entries/touchRows.ts'
import type { BringIn, BroughtIn } from '@kobrin/contract'
import { advanced, readBookmark, sayBookmark, writtenNumber } from '@kobrin/contract'
import type { Entry, Sheet } from '@kobrin/core'
import { FOLD_REVISION, founds, isAmendment, numberClaimedBy } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { v5 as uuidv5, v7 as uuidv7 } from 'uuid'
import type { Author } from '../changes/author.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { untilAlone } from '../database/contended.ts'
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
import { IS_TAKEN_BACK } from '../entries/takenBack.ts'
import { judged, refusalOf } from '../entries/turn.ts'
import type { Registration } from '../entries/writeTogether.ts'
import { placeOfNumber } from '../entries/writeTogether.ts'
import type { OwnStream } from '../streams/ownStream.ts'
import { takeOwnPlaces } from '../streams/ownStream.ts'
import { broughtList } from './tables.ts'

/** Refusals that are told: anyone who mends a list does not read more at once. */
const REFUSALS_TOLD = 200
/** Names asked for at once. */
const ASKED = 5000
/** Facts that are written at once: whoever taps about one of these waits for no more. */
const PIECE = 1000
/** Facts that are judged at once, where nothing is held. */
const JUDGED = 10_000

/** What a list is written with. */
export interface Writing {
  db: Database
  /** Its own: nobody who taps waits for a place behind a list. */
  stream: OwnStream
  author: Author
  sheets: () => Promise<ReadonlyMap<string, Sheet>>
  /** So many facts were written: readers of the feed are told. */
  onWritten?: (facts: number) => void
}

export interface BringingIn extends Writing {
  posting: PostingContext
}

type Refusal = BroughtIn['refused'][number]

function refusal({ uid, code, message }: Refusal): Refusal {
  return { uid, code, message }
}

function isBefore(a: string, b: string): number {
  return a < b ? -1 : Number(a > b)
}

/** Entries in the order in which they are judged: those first that others build on. */
function inOrder(entries: readonly Entry[]): Entry[] {
  const begins = (entry: Entry) => Number(entry.kind === 'registered' && founds(entry))
  return [...entries].sort(
    (a, b) => begins(b) - begins(a) || isBefore(a.occurredAt, b.occurredAt) || isBefore(a.uid, b.uid),
  )
}

/** The entries of a list, signed by the person who brings it in and judged like those that a tablet posts. */
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
  return { entries: inOrder(entries), refused }
}

/** Of some names those that something on record has, and whether it was taken back. */
async function onRecord(db: Database, uids: readonly string[]): Promise<Map<string, boolean>> {
  const rows = await inChunks(uids, ASKED, (some) =>
    rowsOf<{ uid: string; back: number }>(
      db,
      sql`select uid, ${IS_TAKEN_BACK} as back from entry as one where uid in ${some}`,
    ),
  )
  return new Map(rows.flat().map(({ uid, back }) => [uid, Boolean(back)]))
}

/** What was taken back is said again under another name, the same however often. */
const AGAIN = '5c0c2f5e-5f9e-4f0e-8d0e-4d7d1b0a7f55'

/** The entries that are not on record, those among them that were taken back once under their next name; and how many
 * are. */
async function freshOf(db: Database, entries: readonly Entry[]): Promise<{ fresh: Entry[]; known: number }> {
  const fresh: Entry[] = []
  let known = 0
  let asked = entries
  while (asked.length > 0) {
    const there = await onRecord(
      db,
      asked.map(({ uid }) => uid),
    )
    const again: Entry[] = []
    for (const entry of asked) {
      const back = there.get(entry.uid)
      if (back === undefined) fresh.push(entry)
      else if (back) again.push({ ...entry, uid: uuidv5(entry.uid, AGAIN) })
      else known += 1
    }
    asked = again
  }
  return { fresh: inOrder(fresh), known }
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
    if (!register) await tx.execute(sql`delete from resident where id = ${subject}`)
    else if (!isNew)
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
  const retouched = ends.flatMap((end) => end.retouched)
  await inChunks(retouched, ASKED, (some) => tx.execute(sql`delete from touch where uid in ${some}`))
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

/** Entries in pieces, those of one subject together and in their order. */
function inPieces(entries: readonly Entry[], size = PIECE): Entry[][] {
  const bySubject = new Map<string, Entry[]>()
  for (const entry of entries) {
    const own = bySubject.get(entry.subject)
    if (own) own.push(entry)
    else bySubject.set(entry.subject, [entry])
  }
  const pieces: Entry[][] = [[]]
  for (const own of bySubject.values()) {
    const piece = pieces.at(-1)
    if (piece && (piece.length === 0 || piece.length + own.length <= size)) piece.push(...own)
    else pieces.push([...own])
  }
  return pieces.filter((piece) => piece.length > 0)
}

/** Where the facts of a list came to stand. */
interface Span {
  stream: number
  first: number
  last: number
}

interface Written {
  accepted: number
  refused: Refusal[]
  span: Span | null
}

async function judgedIn(
  db: Database,
  entries: readonly Entry[],
  by: Writing,
): Promise<ReturnType<typeof judged>> {
  return judged(entries, await knowledgeOf(db, entries, createFoldMemory(), by.sheets))
}

/** Writes a piece with its folds in one transaction. What was written about the same subjects since it was judged is
 * taken into account; what cannot be kept any more is told. */
function writePiece(by: Writing, piece: readonly Entry[]): Promise<Written> {
  return untilAlone(() =>
    by.db.transaction(async (tx) => {
      const db = tx as unknown as Database
      await hold(tx, [...new Set(piece.map(({ subject }) => subject))])
      const { accepted, refused, turns } = await judgedIn(db, piece, by)
      const told = [...refused].map(([uid, code]) => refusal(refusalOf(uid, code)))
      if (accepted.length === 0) return { accepted: 0, refused: told, span: null }
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
      const span = { stream, first: base + 1, last: base + accepted.length }
      await writeFolds(tx, ends, { stream, seq: span.last })
      await writeRegister(
        tx,
        ends.flatMap((end) => registrationOf(end) ?? []),
        new Date(by.author.at).getUTCFullYear(),
      )
      return { accepted: accepted.length, refused: told, span }
    }),
  )
}

/** Writes entries piece by piece, so that nobody waits for all of them. */
export async function writeInPieces(by: Writing, entries: readonly Entry[]): Promise<Written> {
  const all: Written = { accepted: 0, refused: [], span: null }
  for (const piece of inPieces(entries)) {
    const { accepted, refused, span } = await writePiece(by, piece)
    all.accepted += accepted
    all.refused.push(...refused)
    if (span) all.span = { stream: span.stream, first: all.span?.first ?? span.first, last: span.last }
    by.onWritten?.(accepted)
  }
  return all
}

/** Numbers that two of a list would have. */
function claimedTwice(entries: readonly Entry[]): Refusal[] {
  const claimed = new Map<string, string>()
  return entries.flatMap((entry) => {
    const number = isAmendment(entry) ? undefined : numberClaimedBy(entry)
    if (number === undefined) return []
    const holder = claimed.get(number) ?? entry.subject
    claimed.set(number, holder)
    return holder === entry.subject ? [] : [refusal(refusalOf(entry.uid, 'number_taken'))]
  })
}

/** What of a list cannot be kept, as the house stands now. */
async function objectionsTo(by: Writing, entries: readonly Entry[]): Promise<Refusal[]> {
  const refused = claimedTwice(entries)
  for (const piece of inPieces(entries, JUDGED)) {
    const { refused: objections } = await judgedIn(by.db, piece, by)
    for (const [uid, code] of objections) refused.push(refusal(refusalOf(uid, code)))
    if (refused.length > REFUSALS_TOLD) break
  }
  return refused.slice(0, REFUSALS_TOLD)
}

export async function residentsOnRecord(db: Database): Promise<number> {
  const [row] = await rowsOf<{ many: number }>(db, sql`select count(*) as many from resident`)
  return row?.many ?? 0
}

/** Keeps the facts of a list with their folds: all of them are judged first, and where one cannot be kept none is; then
 * they are written in pieces. What is on record already is passed over, so that the same list again changes nothing, and
 * one that was broken off is gone on with. */
export async function bringIn(by: BringingIn, list: BringIn): Promise<BroughtIn> {
  const { entries, refused } = await entriesIn(list, by)
  if (refused.length > 0) return { kept: 0, known: 0, refused: refused.slice(0, REFUSALS_TOLD) }
  const { fresh, known } = await freshOf(by.db, entries)
  const outcome = { known, kept: 0, refused: [] }
  if (fresh.length === 0) return outcome
  const objections = await objectionsTo(by, fresh)
  if (objections.length > 0) return { ...outcome, refused: objections }
  const before = await residentsOnRecord(by.db)
  const { accepted, refused: late, span } = await writeInPieces(by, fresh)
  if (!span) return { ...outcome, refused: late.slice(0, REFUSALS_TOLD) }
  const id = uuidv7()
  const { at, by: author } = by.author
  await by.db.insert(broughtList).values({ id, file: list.file, at, by: author, ...span, facts: accepted })
  const after = await residentsOnRecord(by.db)
  return {
    ...outcome,
    kept: accepted,
    refused: late.slice(0, REFUSALS_TOLD),
    list: id,
    residents: { before, after },
  }
}
