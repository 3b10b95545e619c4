import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Bookmark } from '@kobrin/contract'
import type { Database, Transaction } from '../database/connect.ts'
import { STREAM_LOST } from '../database/contended.ts'
import { rowsOf } from '../database/rowsOf.ts'

/** A stream and the name under which it is held. */
export interface Lease {
  stream: number
  holder: string
}

export interface OwnStream {
  /** The stream this server appends to: claimed when it is first asked for, and again after it was lost. */
  lease: () => Promise<Lease>
  /** Another server took it over: this one was silent for too long. */
  lost: (lease: Lease) => void
  /** Gives it back. */
  close: () => Promise<void>
}

const HELD_SECONDS = 30
const RENEW_MS = 10_000
// By the database's clock: those of two servers may differ.
const HELD_UNTIL = sql.raw(`utc_timestamp(3) + interval ${HELD_SECONDS} second`)

async function claimed(db: Database): Promise<Lease> {
  const holder = uuidv7()
  return db.transaction(async (tx) => {
    const [free] = await rowsOf<{ id: number }>(
      tx,
      sql`select id from stream where held_until < utc_timestamp(3) order by id limit 1 for update skip locked`,
    )
    if (free) {
      await tx.execute(
        sql`update stream set holder = ${holder}, held_until = ${HELD_UNTIL} where id = ${free.id}`,
      )
      return { stream: free.id, holder }
    }
    await tx.execute(sql`insert into stream (holder, held_until, seq) values (${holder}, ${HELD_UNTIL}, 0)`)
    const [made] = await rowsOf<{ id: number }>(tx, sql`select last_insert_id() as id`)
    return { stream: Number(made?.id), holder }
  })
}

/** The stream is held by another server: this one has to claim a new one. */
export class StreamLost extends Error {
  readonly errno = STREAM_LOST

  constructor() {
    super('The stream is held by another server.')
  }
}

/** Claims a stream of its own for a server that appends. */
export function createOwnStream(db: Database): OwnStream {
  let held: Promise<Lease> | null = null
  const set = async (until: ReturnType<typeof sql>) => {
    const lease = await held
    if (lease)
      await db.execute(
        sql`update stream set held_until = ${until} where id = ${lease.stream} and holder = ${lease.holder}`,
      )
  }
  const renewing = setInterval(() => void set(HELD_UNTIL).catch(() => undefined), RENEW_MS)
  renewing.unref()
  return {
    lease() {
      held ??= claimed(db).catch((error: unknown) => {
        held = null
        throw error
      })
      return held
    },
    lost({ holder }) {
      const before = held
      void before?.then(
        (lease) => {
          if (lease.holder === holder && held === before) held = null
        },
        () => undefined,
      )
    },
    async close() {
      clearInterval(renewing)
      await set(sql`utc_timestamp(3) - interval 1 second`).catch(() => undefined)
      held = null
    },
  }
}

/** Takes so many places in a stream and says the one before the first. The row stays locked until the
 * commit, so that anyone who reads a stream cannot pass over what appears later. Throws `StreamLost`. */
export async function takePlaces(tx: Transaction, { stream, holder }: Lease, count: number): Promise<number> {
  await tx.execute(
    sql`update stream set seq = seq + ${count}, held_until = ${HELD_UNTIL} where id = ${stream} and holder = ${holder}`,
  )
  const [row] = await rowsOf<{ seq: number }>(
    tx,
    sql`select seq from stream where id = ${stream} and holder = ${holder}`,
  )
  if (!row) throw new StreamLost()
  return row.seq - count
}

/** The same in the stream of this server; where it was lost, it is claimed again the next time. */
export async function takeOwnPlaces(
  tx: Transaction,
  stream: OwnStream,
  count: number,
): Promise<{ stream: number; base: number }> {
  const lease = await stream.lease()
  const base = await takePlaces(tx, lease, count).catch((error: unknown) => {
    if (error instanceof StreamLost) stream.lost(lease)
    throw error
  })
  return { stream: lease.stream, base }
}

/** How far every stream has come. */
export async function headOf(db: Database | Transaction): Promise<Bookmark> {
  const rows = await rowsOf<{ id: number; seq: number }>(db, sql`select id, seq from stream order by id`)
  return Object.fromEntries(rows.map(({ id, seq }) => [String(id), seq]))
}
