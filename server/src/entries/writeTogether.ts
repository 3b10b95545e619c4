import { readBookmark, sayBookmark } from '@kobrin/contract'
import type { Entry, FamilyName, Register } from '@kobrin/core'
import { FOLD_REVISION, isoDay } from '@kobrin/core'
import type { Pool, RowDataPacket } from 'mysql2/promise'
import { sqlInstant } from '../database/columns.ts'
import type { Lease } from '../streams/ownStream.ts'
import type { TouchRow } from './touchRows.ts'
import { TOUCH_COLUMNS, touchValues } from './touchRows.ts'
import type { Turn } from './turn.ts'

/** Rows that are sent as a prepared statement at most: each number of them is a statement of its own. */
const PREPARED_ROWS = 24

/** A resident whose line in the register changes; null where its registration was taken back. */
export interface Registration {
  subject: string
  register: Register | null
  isNew: boolean
}

/** Everything one transaction writes. */
export interface Writing {
  lease: Lease
  now: string
  entries: readonly { entry: Entry; family: FamilyName }[]
  folds: readonly (Pick<Turn, 'subject' | 'family' | 'was' | 'upTo'> & {
    text: string
    /** As it is written. */
    closedAt: string | null
  })[]
  touches: readonly TouchRow[]
  /** Entries whose touches are written again. */
  retouched: readonly string[]
  registrations: readonly Registration[]
}

/** Of everything, how many: each combination is a statement of its own. */
interface Size {
  entries: number
  begun: number
  turned: number
  touches: number
  retouched: number
  registered: number
  /** Of whom the number is known already. */
  known: number
  renewed: number
  struck: number
}

function listed(count: number, part: (index: number) => string, between = ', '): string {
  return Array.from({ length: count }, (_, index) => part(index)).join(between)
}

function when(count: number, statement: string): string {
  return count > 0 ? `${statement};` : ''
}

/** The whole transaction as one statement, so that it is one way there and back. The locks are taken in
 * the order: folds, which keeps one subject's entries apart; then the stream, held until the commit, so
 * that commits are in the order of the places and nobody reading the stream can pass over a row that
 * appears later. A subject that begins here must not be there yet: else it is a duplicate key. */
function transaction(size: Size): string {
  const { entries, begun, turned, touches, retouched, registered, known, renewed, struck } = size
  return `begin not atomic
    declare unchanged int;
    declare base bigint unsigned;
    declare numbered int;
    declare digits_least int;
    declare before_digits varchar(16);
    declare exit handler for sqlexception begin rollback; resignal; end;
    start transaction;
    ${when(
      turned,
      `select count(*) into unchanged from subject
        where ${listed(turned, () => '(id = ? and version = ?)', ' or ')} for update`,
    )}
    if ${turned} = 0 or unchanged = ${turned} then
      update stream set seq = last_insert_id(seq + ${entries}) where id = ? and holder = ?;
      if row_count() <> 1 then
        signal sqlstate '45000' set message_text = 'The stream is held by another server.';
      end if;
      set base = last_insert_id() - ${entries};
      insert into entry
        (subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, act, payload, written_at)
        values ${listed(entries, (index) => `(?, ?, ?, ?, base + ${index + 1}, ?, ?, ?, ?, ?, ?, ?, ?)`)};
      ${when(
        begun,
        `insert into subject (id, family, version, up_to, state, closed_at, revision)
          values ${listed(begun, () => `(?, ?, 1, replace(?, '#', base + ${entries}), ?, ?, ${FOLD_REVISION})`)}`,
      )}
      ${when(
        turned,
        `insert into subject (id, family, version, up_to, state, closed_at, revision)
          values ${listed(turned, () => `(?, ?, ?, replace(?, '#', base + ${entries}), ?, ?, ${FOLD_REVISION})`)}
          on duplicate key update version = values(version), up_to = values(up_to), state = values(state),
            closed_at = values(closed_at), revision = values(revision)`,
      )}
      ${when(retouched, `delete from touch where uid in (${listed(retouched, () => '?')})`)}
      ${when(
        touches,
        `insert ignore into touch (${TOUCH_COLUMNS})
          values ${listed(touches, () => '(?, ?, ?, ?, ?, ?, ?, ?)')}`,
      )}
      ${when(
        registered,
        `update numbering set last = last_insert_id(last + ${registered}) where id = 1;
        set numbered = last_insert_id() - ${registered};
        select replace(prefix, '{year}', year(?)), digits into before_digits, digits_least from numbering where id = 1;
        insert into resident (id, accession, name, sheet_id, stage, schools)
          values ${listed(registered, (index) => `(?, concat(before_digits, lpad(numbered + ${index + 1}, greatest(digits_least, length(numbered + ${index + 1})), '0')), ?, ?, ?, ?)`)}`,
      )}
      ${when(
        known,
        `update numbering set last = greatest(last, ?) where id = 1;
        insert into resident (id, accession, name, sheet_id, stage, schools)
          values ${listed(known, () => '(?, ?, ?, ?, ?, ?)')}`,
      )}
      ${listed(renewed, () => 'update resident set name = ?, sheet_id = ?, stage = ?, schools = ? where id = ?;', '\n')}
      ${when(struck, `delete from resident where id in (${listed(struck, () => '?')})`)}
      commit;
      select base;
    else
      rollback;
      select null as base;
    end if;
  end`
}

const transactions = new Map<string, string>()

function preparedTransaction(size: Size): string {
  const key = Object.values(size).join(' ')
  const known = transactions.get(key) ?? transaction(size)
  transactions.set(key, known)
  return known
}

type Value = string | number | null

/** Digits at the end of a number that another might be given: longer ones are somebody else's scheme. */
const OWN_DIGITS = /(?<!\d)\d{1,6}$/

/** The place in the order of numbers that a known one takes up: none that is given out later is the same. */
export function placeOfNumber(number: string): number {
  return Number(OWN_DIGITS.exec(number)?.[0] ?? 0)
}

function lineOf({ name, sheet, stage, schools }: Register): Value[] {
  return [name, sheet, stage, JSON.stringify(schools)]
}

/** The bookmark of a fold with this stream's place left open: it is known once the places are given out. */
function openUpTo(upTo: string, stream: number): string {
  const others = sayBookmark(
    Object.fromEntries(Object.entries(readBookmark(upTo) ?? {}).filter(([one]) => one !== String(stream))),
  )
  return others === '' ? `${stream}:#` : `${others},${stream}:#`
}

type Foldings = Writing['folds']

/** A writing in the parts the statement has. */
function partsOf({ folds, registrations, ...rest }: Writing) {
  return {
    ...rest,
    begun: folds.filter(({ was }) => was === null),
    turned: folds.filter(({ was }) => was !== null),
    registered: registrations.filter(({ isNew, register }) => isNew && register?.number === undefined),
    known: registrations.filter(({ isNew, register }) => isNew && register?.number !== undefined),
    renewed: registrations.filter(({ isNew, register }) => !isNew && register !== null),
    struck: registrations.filter(({ register }) => register === null),
  }
}
type Parts = ReturnType<typeof partsOf>

function entryValues({ entries, lease, now }: Parts): Value[] {
  const recordedAt = sqlInstant(now)
  return entries.flatMap(
    ({ entry: { subject, occurredAt, uid, kind, day, author, act, payload, writtenAt }, family }) => [
      subject,
      sqlInstant(occurredAt),
      uid,
      lease.stream,
      family,
      kind,
      isoDay(day),
      recordedAt,
      author,
      act ?? null,
      JSON.stringify(payload),
      writtenAt === undefined ? null : sqlInstant(writtenAt),
    ],
  )
}

function foldValues(begun: Foldings, turned: Foldings, stream: number): Value[] {
  return [
    ...begun.flatMap(({ subject, family, upTo, text, closedAt }) => [
      subject,
      family,
      openUpTo(upTo, stream),
      text,
      closedAt,
    ]),
    ...turned.flatMap(({ subject, family, was, upTo, text, closedAt }) => [
      subject,
      family,
      (was ?? 0) + 1,
      openUpTo(upTo, stream),
      text,
      closedAt,
    ]),
  ]
}

/** In the order in which the statement asks for them. */
function valuesOf(parts: Parts): Value[] {
  const { lease, begun, turned, touches, retouched, registered, known, renewed, struck } = parts
  return [
    ...turned.flatMap(({ subject, was }) => [subject, was]),
    lease.stream,
    lease.holder,
    ...entryValues(parts),
    ...foldValues(begun, turned, lease.stream),
    ...retouched,
    ...touches.flatMap(touchValues),
    ...(registered.length > 0 ? [sqlInstant(parts.now)] : []),
    ...registered.flatMap(({ subject, register }) => (register ? [subject, ...lineOf(register)] : [])),
    ...(known.length > 0
      ? [Math.max(...known.map(({ register }) => placeOfNumber(register?.number ?? '')))]
      : []),
    ...known.flatMap(({ subject, register }) =>
      register ? [subject, register.number ?? '', ...lineOf(register)] : [],
    ),
    ...renewed.flatMap(({ subject, register }) => (register ? [...lineOf(register), subject] : [])),
    ...struck.map(({ subject }) => subject),
  ]
}

/** Writes entries and what follows from them in one durable transaction and says the place before the
 * first; null, and nothing is written, when a fold is no longer what it was. */
export async function writeTogether(pool: Pool, writing: Writing): Promise<number | null> {
  const parts = partsOf(writing)
  const values = valuesOf(parts)
  const size: Size = {
    entries: parts.entries.length,
    begun: parts.begun.length,
    turned: parts.turned.length,
    touches: parts.touches.length,
    retouched: parts.retouched.length,
    registered: parts.registered.length,
    known: parts.known.length,
    renewed: parts.renewed.length,
    struck: parts.struck.length,
  }
  const routine = size.retouched + size.touches + writing.registrations.length + size.begun === 0
  const [[rows]] = await (routine && size.entries <= PREPARED_ROWS
    ? pool.execute<RowDataPacket[][]>(preparedTransaction(size), values)
    : pool.query<RowDataPacket[][]>(transaction(size), values))
  const [row] = rows as { base: number | null }[]
  return row?.base ?? null
}
