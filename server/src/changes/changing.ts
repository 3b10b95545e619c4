import type { ChangeWhat } from '@kobrin/contract'
import { eq } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { untilAlone } from '../database/contended.ts'
import { site } from '../site/tables.ts'
import type { OwnStream } from '../streams/ownStream.ts'
import { takeOwnPlaces } from '../streams/ownStream.ts'
import type { Author } from './author.ts'
import { change } from './tables.ts'

export interface NewChange {
  what: ChangeWhat
  reason: string
}

/** Who changes something: nobody here for what comes with the shipped library. */
export type Changer = Omit<Author, 'by'> & { by: string | null }

export interface Changing {
  db: Database
  stream: OwnStream
  author: Changer
  /** Something was changed: readers of the feed are told now. */
  onChanged?: () => void
}

/** The one way to change what people edit. The site's row is the lock: it is taken first, then everything
 * is read, then written, with a line for each change in the feed; and begun again when others get in the
 * way. `write` says what it changed; nothing changed is a change of nothing. */
export async function changing<T>(
  { db, stream, author, onChanged }: Changing,
  write: (tx: Transaction) => Promise<{ changes: NewChange[]; answer: T }>,
): Promise<T> {
  const { changes, answer } = await untilAlone(() =>
    db.transaction(async (tx) => {
      await tx.select({ id: site.id }).from(site).where(eq(site.id, 1)).for('update')
      const written = await write(tx)
      if (written.changes.length === 0) return written
      const own = await takeOwnPlaces(tx, stream, written.changes.length)
      await tx.insert(change).values(
        written.changes.map(({ what, reason }, index) => ({
          ...author,
          stream: own.stream,
          seq: own.base + index + 1,
          what,
          reason,
        })),
      )
      return written
    }),
  )
  if (changes.length > 0) onChanged?.()
  return answer
}
