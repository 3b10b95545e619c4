import type { Entry } from '@kobrin/core'
import { isoDay } from '@kobrin/core'
import type { Pool, RowDataPacket } from 'mysql2/promise'
import { sqlInstant } from '../database/columns.ts'

/** Rows that are sent as a prepared statement at most: each number of them is a statement of its own. */
const PREPARED_ROWS = 24

/** A fold that changes: the checksum of its text as it was, and its text as it is to be. */
export interface Turn {
  residentId: string
  was: number
  text: string
}

function listed(count: number, part: (index: number) => string, between = ', '): string {
  return Array.from({ length: count }, (_, index) => part(index)).join(between)
}

/** The whole transaction as one statement, so that it is one way there and back. The locks are taken
 * in the order: folds, which keeps one resident's entries apart; then the counter, held until the
 * commit, so that commits are in the order of the places and nobody reading the feed can pass over a
 * row that appears later. */
function transaction(entries: number, turns: number): string {
  return `begin not atomic
    declare unchanged int;
    declare base bigint unsigned;
    declare exit handler for sqlexception begin rollback; resignal; end;
    start transaction;
    select count(*) into unchanged from resident_state
      where ${listed(turns, () => '(resident_id = ? and crc32(state) = ?)', ' or ')} for update;
    if unchanged = ${turns} then
      update feed_counter set seq = last_insert_id(seq + ${entries}) where id = 1;
      if row_count() <> 1 then
        signal sqlstate '45000' set message_text = 'The feed counter is missing.';
      end if;
      set base = last_insert_id() - ${entries};
      insert into entry (resident_id, occurred_at, seq, uid, kind, day, recorded_at, author_id, payload)
        values ${listed(entries, (index) => `(?, ?, base + ${index + 1}, ?, ?, ?, ?, ?, ?)`)};
      insert into resident_state (resident_id, last_seq, state)
        values ${listed(turns, () => `(?, base + ${entries}, ?)`)}
        on duplicate key update last_seq = values(last_seq), state = values(state);
      commit;
      select base;
    else
      rollback;
      select null as base;
    end if;
  end`
}

const transactions = new Map<string, string>()

function preparedTransaction(entries: number, turns: number): string {
  const key = `${entries} ${turns}`
  const known = transactions.get(key) ?? transaction(entries, turns)
  transactions.set(key, known)
  return known
}

/** Writes entries and the folds they change in one durable transaction and says the place before the
 * first; null, and nothing is written, when a fold is no longer what it was. */
export async function writeTogether(
  pool: Pool,
  entries: readonly Entry[],
  turns: readonly Turn[],
  now: string,
): Promise<number | null> {
  const recordedAt = sqlInstant(now)
  const values = [
    ...turns.flatMap(({ residentId, was }) => [residentId, was]),
    ...entries.flatMap(({ residentId, occurredAt, uid, kind, day, author, payload }) => [
      residentId,
      sqlInstant(occurredAt),
      uid,
      kind,
      isoDay(day),
      recordedAt,
      author,
      JSON.stringify(payload),
    ]),
    ...turns.flatMap(({ residentId, text }) => [residentId, text]),
  ]
  const [[rows]] = await (entries.length > PREPARED_ROWS
    ? pool.query<RowDataPacket[][]>(transaction(entries.length, turns.length), values)
    : pool.execute<RowDataPacket[][]>(preparedTransaction(entries.length, turns.length), values))
  const [row] = rows as { base: number | null }[]
  return row?.base ?? null
}
