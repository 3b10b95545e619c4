const ACCENTS: Readonly<Record<string, string>> = {
  a: 'à',
  e: 'ë',
  i: 'ï',
  o: 'ö',
  u: 'ü',
  A: 'Å',
  E: 'Ë',
  I: 'Ï',
  O: 'Ö',
  U: 'Ü',
  y: 'ÿ',
}
/** Where a message holds what is read: as it is written, or as it was made ready when the product was built. */
const READ = new Set(['s', 'v', 'static', 'value'])

function accent(text: string): string {
  // What stands in braces is a name.
  return text.replace(/\{[^}]*\}|[aeiouyAEIOU]/g, (one) => ACCENTS[one] ?? one)
}

/** The same messages with their letters accented. */
export function accented(messages: object): object {
  return Object.fromEntries(
    Object.entries(messages).map(([key, one]: [string, unknown]) => {
      if (Array.isArray(one)) return [key, one.map((piece: object) => accented(piece))]
      if (typeof one === 'object' && one !== null) return [key, accented(one)]
      return [key, typeof one === 'string' && !isName(messages, key) ? accent(one) : one]
    }),
  )
}

/** A piece of a message that was made ready holds more than what is read. */
function isName(piece: object, key: string): boolean {
  const isReady = 't' in piece || 'type' in piece || 'b' in piece || 'i' in piece
  return isReady && !READ.has(key)
}
