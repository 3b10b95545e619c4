/** How far somebody has read: the place in each server's stream of entries. */
export type Bookmark = Readonly<Record<string, number>>

/** The place of something in a stream. */
export interface Placed {
  stream: number
  seq: number
}

const TEXT = /^(\d{1,9}:\d{1,16}(,\d{1,9}:\d{1,16})*)?$/

/** "1:204,2:17". Null when it cannot be read. */
export function readBookmark(text: string): Bookmark | null {
  if (!TEXT.test(text)) return null
  if (text === '') return {}
  return Object.fromEntries(
    text
      .split(',')
      .map((part) => part.split(':'))
      .map(([stream, seq]) => [String(stream), Number(seq)]),
  )
}

export function sayBookmark(bookmark: Bookmark): string {
  return Object.entries(bookmark)
    .map(([stream, seq]) => `${stream}:${seq}`)
    .join(',')
}

/** Whether what stands at a place has been read. */
export function isPast(bookmark: Bookmark, { stream, seq }: Placed): boolean {
  return (bookmark[stream] ?? 0) >= seq
}

export function advanced(bookmark: Bookmark, { stream, seq }: Placed): Bookmark {
  return isPast(bookmark, { stream, seq }) ? bookmark : { ...bookmark, [stream]: seq }
}

/** Whether one has read nothing that the other has not. */
export function isBehind(bookmark: Bookmark, other: Bookmark): boolean {
  return Object.entries(bookmark).every(([stream, seq]) => isPast(other, { stream: Number(stream), seq }))
}

/** The further place in each stream. */
export function furthest(one: Bookmark, other: Bookmark): Bookmark {
  return Object.entries(other).reduce(
    (far, [stream, seq]) => advanced(far, { stream: Number(stream), seq }),
    one,
  )
}
