import { sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import { isBehind, readBookmark } from '@kobrin/contract'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { SEAL } from '../entries/tables.ts'
import { rebuild } from '../entries/rebuild.ts'
import { headOf } from '../streams/ownStream.ts'

/** Something in the record that cannot be so. */
export interface Damage {
  what:
    | 'table'
    | 'gap'
    | 'withoutFold'
    | 'withoutEntries'
    | 'family'
    | 'author'
    | 'seal'
    | 'ahead'
    | 'register'
    | 'nowhere'
    | 'fold'
  /** The table, subject, stream or entry it is about. */
  about: string
  detail: string
}

async function tablesRead(db: Database): Promise<Damage[]> {
  const tables = await rowsOf<{ name: string }>(
    db,
    sql`select table_name as name from information_schema.tables
        where table_schema = database() and table_type in ('BASE TABLE', 'SYSTEM VERSIONED')`,
  )
  const found: Damage[] = []
  for (const { name } of tables) {
    const rows = await rowsOf<{ Msg_type: string; Msg_text: string }>(
      db,
      sql`check table ${sql.identifier(name)}`,
    ).catch((error: unknown) => [{ Msg_type: 'Error', Msg_text: String(error) }])
    const bad = rows.find(
      ({ Msg_type: type, Msg_text: text }) => type === 'Error' || (type === 'status' && text !== 'OK'),
    )
    if (bad) found.push({ what: 'table', about: name, detail: bad.Msg_text })
  }
  return found
}

async function each(tx: Transaction, what: Damage['what'], detail: string, query: SQL): Promise<Damage[]> {
  const rows = await rowsOf<{ about: string }>(tx, query)
  return rows.map(({ about }) => ({ what, about, detail }))
}

/** Every place of a stream is taken by one entry or one change. */
async function gaps(tx: Transaction): Promise<Damage[]> {
  const rows = await rowsOf<{ id: number; seq: number; entries: number; changes: number }>(
    tx,
    sql`select stream.id, stream.seq,
          (select count(*) from entry where entry.stream = stream.id and entry.seq <= stream.seq) as entries,
          (select count(*) from \`change\` as made where made.stream = stream.id and made.seq <= stream.seq) as changes
        from stream`,
  )
  return rows
    .filter(({ seq, entries, changes }) => entries + changes !== seq)
    .map(({ id, seq, entries, changes }) => ({
      what: 'gap',
      about: `stream ${id}`,
      detail: `${entries} entries and ${changes} changes on ${seq} places`,
    }))
}

/** Folds that claim to hold what no stream has. */
async function ahead(tx: Transaction): Promise<Damage[]> {
  const head = await headOf(tx)
  const folds = await rowsOf<{ id: string; upTo: string }>(
    tx,
    sql`select id, up_to as upTo from subject where version > 0`,
  )
  return folds
    .filter(({ upTo }) => {
      const read = readBookmark(upTo)
      return read === null || !isBehind(read, head)
    })
    .map(({ id, upTo }) => ({ what: 'ahead', about: id, detail: `folded up to ${upTo}` }))
}

async function together(tx: Transaction): Promise<Damage[]> {
  return [
    ...(await gaps(tx)),
    ...(await ahead(tx)),
    ...(await each(
      tx,
      'withoutFold',
      'has entries and no fold',
      sql`select distinct entry.subject as about from entry left join subject on subject.id = entry.subject
          where subject.id is null`,
    )),
    ...(await each(
      tx,
      'withoutEntries',
      'has a fold and no entries',
      sql`select id as about from subject where version > 0 and not exists (
            select 1 from entry where entry.subject = subject.id)`,
    )),
    ...(await each(
      tx,
      'family',
      'an entry of another family than its subject',
      sql`select entry.uid as about from entry join subject on subject.id = entry.subject
          where entry.family <> subject.family`,
    )),
    ...(await each(
      tx,
      'author',
      'by somebody who was never here',
      sql`select entry.uid as about from entry left join staff on staff.id = entry.author_id
          where staff.id is null`,
    )),
    ...(await each(
      tx,
      'seal',
      'does not say what was kept',
      sql`select uid as about from entry where seal <> ${SEAL}`,
    )),
    ...(await each(
      tx,
      'register',
      'in the register and without a record, or the other way round',
      sql`select resident.id as about from resident left join subject on subject.id = resident.id
            where subject.id is null
          union select id from subject where family = 'resident' and json_type(json_extract(state, '$.register')) = 'OBJECT'
            and not exists (select 1 from resident where resident.id = subject.id)`,
    )),
    ...(await each(
      tx,
      'nowhere',
      'lives in a place that does not stand',
      sql`select subject.id as about from subject left join enclosure
            on enclosure.id = json_value(subject.state, '$.stay.place.enclosure') and not enclosure.retired
          where family = 'resident' and json_type(json_extract(state, '$.stay.place')) = 'OBJECT'
            and json_type(json_extract(state, '$.stay.ended')) = 'NULL' and enclosure.id is null`,
    )),
  ]
}

/** Looks the whole record over: can its files be read, is nothing missing, does everything fit together, is
 * every fold what a replay says. Changes nothing, and may run beside a house at work. */
export async function checkRecord(db: Database): Promise<Damage[]> {
  const tables = await tablesRead(db)
  if (tables.length > 0) return tables
  const fitting = await db.transaction(together, {
    isolationLevel: 'repeatable read',
    withConsistentSnapshot: true,
  })
  const { differing } = await rebuild(db, { write: false })
  return [
    ...fitting,
    ...differing.map(({ subject, fields }): Damage => ({
      what: 'fold',
      about: subject,
      detail: `differs from its entries in ${fields.join(', ')}`,
    })),
  ]
}
