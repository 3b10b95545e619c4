/** Which sign somebody sets before decimals; null where nobody can tell. */
export type DecimalSign = '.' | ',' | null

/** A number as it was written, with the unit beside it, "" for none, and whether it is only about that. */
export interface Quantity {
  value: number
  unit: string
  about: boolean
}

/** Units as people write them, by the one they are. */
const UNIT_WORDS: Readonly<Record<string, readonly string[]>> = {
  g: ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'],
  kg: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
  mg: ['mg', 'mgs', 'milligram', 'milligrams'],
  oz: ['oz', 'ozs', 'ounce', 'ounces'],
  lb: ['lb', 'lbs', 'pound', 'pounds'],
  mm: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
  cm: ['cm', 'cms', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
  m: ['m', 'metre', 'metres', 'meter', 'meters'],
  in: ['in', 'ins', 'inch', 'inches', '"', '″', '”', "''"],
  ft: ['ft', 'foot', 'feet', "'", '′', '’'],
}
const UNIT_OF: ReadonlyMap<string, string> = new Map(
  Object.entries(UNIT_WORDS).flatMap(([unit, words]) => words.map((word) => [word, unit] as const)),
)

/** The unit a word stands for; the word itself where it is none. */
export function unitNamed(word: string): string {
  return UNIT_OF.get(word) ?? word
}

const ABOUT_BEFORE =
  /^(?:[~≈<>≤≥±]+|(?:approx(?:imately)?|about|around|roughly|circa|ca|c|est(?:imated)?|nearly|almost|over|under|maybe|perhaps|prob(?:ably)?|at least|more than)(?=[\s.\d~]))\.?\s*/iu
const ABOUT_AFTER = /[\s,(]*(?:-?ish|\+|\?+|or so|approx(?:imately)?\.?|est(?:imated)?\.?|ca\.?)\)?$/iu

/** What is written without the words that say it is only about so, and whether there were any. */
export function withoutAbout(text: string): { text: string; about: boolean } {
  let rest = text.trim()
  let about = false
  for (;;) {
    const shorter = rest.replace(ABOUT_BEFORE, '').replace(ABOUT_AFTER, '').trim()
    if (shorter === rest || shorter === '') return { text: rest, about }
    rest = shorter
    about = true
  }
}

const GAP = "\\s'’\\u202f\\u00a0"
const GROUPED = new RegExp(`^\\d{1,3}(?:[${GAP}]\\d{3})+(?=$|[.,])`, 'u')

/** The number that digits with signs among them stand for. Null where they are none, "unsure" where the sign before the
 * last three digits may be either: "1,612". */
function digitsRead(digits: string, sign: DecimalSign): number | 'unsure' | null {
  const bare = GROUPED.test(digits) ? digits.replace(new RegExp(`[${GAP}]`, 'gu'), '') : digits
  const match = /^(\d*)((?:[.,]\d+)*)$/u.exec(bare)
  if (!match || bare === '') return null
  const [, first = '', rest = ''] = match
  const parts = rest.split(/(?=[.,])/u).filter((part) => part !== '')
  const last = parts.at(-1)
  if (last === undefined) return Number(first)
  const marks = new Set(parts.map(([mark]) => mark))
  const inThrees = (some: readonly string[]) =>
    /^\d{1,3}$/u.test(first) && some.every((part) => part.length === 4)
  const asDecimals = () =>
    Number(
      `${first || '0'}${parts
        .slice(0, -1)
        .map((part) => part.slice(1))
        .join('')}.${last.slice(1)}`,
    )
  const asThousands = () => Number(`${first}${parts.map((part) => part.slice(1)).join('')}`)
  if (marks.size === 2) {
    const before = parts.slice(0, -1)
    const isOne = before.every(([mark]) => mark !== last[0])
    return isOne && inThrees(before) ? asDecimals() : null
  }
  if (parts.length > 1) return inThrees(parts) ? asThousands() : null
  // Thousands stand in threes, and none begins with nothing.
  if (last.length !== 4 || first === '' || first.startsWith('0') || first.length > 3) return asDecimals()
  if (sign === null) return 'unsure'
  return last.startsWith(sign) ? asDecimals() : asThousands()
}

const FRACTIONS: Readonly<Record<string, string>> = { '½': '.5', '¼': '.25', '¾': '.75' }
const NUMBER = `\\d*[\\d${GAP}.,]*\\d`
const ONE = new RegExp(`^([+-]?)(${NUMBER})\\s*(\\p{L}*|["″”]|''|['′’])\\.?$`, 'u')
const RANGE = new RegExp(`^(${NUMBER})\\s*(?:[-–—]|to)\\s*(${NUMBER})\\s*(\\p{L}*|["″”])\\.?$`, 'u')
const TWO_UNITS = new RegExp(
  `^(${NUMBER})\\s*(lbs?|pounds?|ft|feet|foot|['′’])[\\s,]*(?:and\\s+)?(${NUMBER})\\s*(oz|ozs|ounces?|in|ins|inch|inches|["″”]|'')?\\.?$`,
  'iu',
)
const SMALLER: Readonly<Record<string, { unit: string; parts: number }>> = {
  lb: { unit: 'oz', parts: 16 },
  ft: { unit: 'in', parts: 12 },
}

function twoUnits(text: string): Omit<Quantity, 'about'> | null {
  const match = TWO_UNITS.exec(text)
  if (!match) return null
  const [, whole = '', word = '', rest = '', restWord] = match
  const unit = unitNamed(word.toLowerCase())
  const smaller = SMALLER[unit]
  if (!smaller || (restWord && unitNamed(restWord.toLowerCase()) !== smaller.unit)) return null
  const [many, more] = [digitsRead(whole, '.'), digitsRead(rest, '.')]
  // Past twelve inches it is no foot and a rest: "1'612" is one number.
  if (typeof many !== 'number' || typeof more !== 'number' || more >= smaller.parts) return null
  return { value: many * smaller.parts + more, unit: smaller.unit }
}

/** A number with its unit, as somebody wrote it: "61,5", "1.2 kg", "2 lb 3 oz", "~200", "50-60", each by itself whatever
 * stands in the cells around it. `sign` decides only where a cell alone cannot: "1,612" is 1612 or 1.612. Null where it is
 * no number, "unsure" where it is one of two and nobody said which. */
export function readQuantity(written: string, sign: DecimalSign): Quantity | 'unsure' | null {
  // Nearly all there are.
  const plainly = /^(\d{1,9})(?:[.,](\d{1,2}))?$/u.exec(written)
  if (plainly) return { value: Number(`${plainly[1]}.${plainly[2] ?? 0}`), unit: '', about: false }
  const { text, about } = withoutAbout(
    written
      .trim()
      .replace(/^[([]|[)\]]$/gu, '')
      .replace(
        /(\d?)\s?([½¼¾])/gu,
        (_, digit: string, part: string) => `${digit || '0'}${FRACTIONS[part] ?? ''}`,
      ),
  )
  const two = twoUnits(text)
  if (two) return { ...two, about }
  const range = RANGE.exec(text)
  if (range) {
    const [low, high] = [digitsRead(range[1] ?? '', sign), digitsRead(range[2] ?? '', sign)]
    if (low === 'unsure' || high === 'unsure') return 'unsure'
    if (low === null || high === null || high <= low) return null
    return { value: (low + high) / 2, unit: unitNamed((range[3] ?? '').toLowerCase()), about: true }
  }
  const one = ONE.exec(text)
  const read = one && digitsRead(one[2] ?? '', sign)
  if (!one || read === null) return null
  if (read === 'unsure') return 'unsure'
  return { value: one[1] === '-' ? -read : read, unit: unitNamed((one[3] ?? '').toLowerCase()), about }
}

/** How the decimals of a cell are set, where the cell alone tells. */
export function signIn(text: string): '.' | ',' | null {
  const asPoint = readQuantity(text, '.')
  const asComma = readQuantity(text, ',')
  if (!asPoint || !asComma || asPoint === 'unsure' || asComma === 'unsure') return null
  if (asPoint.value !== asComma.value || Number.isInteger(asPoint.value)) return null
  return /[.,](?=\d+\D*$)/u.exec(text)?.[0] === ',' ? ',' : '.'
}

/** Whether a cell can be read with a comma or a point before its decimals, and means something else then. */
export function isEither(text: string): boolean {
  return readQuantity(text, null) === 'unsure'
}
