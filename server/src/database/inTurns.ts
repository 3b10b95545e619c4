import type { PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise'

/** Rows a statement carries: few enough that every number of them stays prepared. */
const ROWS = 32

/** Sends a prepared statement for so many rows at a time, as often as it takes. Prepared, because long
 * documents would otherwise have to be escaped character by character. */
export async function inTurns<T>(
  line: PoolConnection,
  rows: readonly T[],
  statement: (count: number) => string,
  values: (row: T, index: number) => (string | number)[],
): Promise<RowDataPacket[]> {
  const answered: RowDataPacket[] = []
  for (let at = 0; at < rows.length; at += ROWS) {
    const some = rows.slice(at, at + ROWS)
    const [answer] = await line.execute<RowDataPacket[] | ResultSetHeader>(
      statement(some.length),
      some.flatMap((row, index) => values(row, at + index)),
    )
    if (Array.isArray(answer)) answered.push(...answer)
  }
  return answered
}

/** A part of a statement so many times over: "?, ?, ?". */
export function times(count: number, part: string): string {
  return Array.from({ length: count }, () => part).join(', ')
}
