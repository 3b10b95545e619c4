import leven from 'leven'
import type { Sheet } from '../plans/sheet/sheet.ts'

/** Why a word may mean a species. */
export type LikeReason =
  /** It is one of its names, but for capitals, hyphens, accents or a plural. */
  | { code: 'name'; name: string }
  /** Keepers call it so. */
  | { code: 'called'; name: string }
  /** It is its scientific name with the genus cut short. */
  | { code: 'abbreviated'; name: string }
  /** It is a name of it but for so many letters. */
  | { code: 'spelling'; name: string; letters: number }
  /** A name of it stands in it, with other words. */
  | { code: 'within'; name: string }
  /** It is part of a name of it. */
  | { code: 'part'; name: string }
  /** It is of the same genus, and another species. */
  | { code: 'genus'; name: string }

export interface Likeness {
  sheet: string
  because: LikeReason
}

/** Only these say so much that nobody needs to be asked, where one sheet alone fits. */
const SURE: readonly LikeReason['code'][] = ['name', 'called']

function singular(word: string): string {
  if (word.length < 4 || /(?:ss|us|is)$/u.test(word)) return word
  if (/ies$/u.test(word) && word.length > 4) return `${word.slice(0, -3)}y`
  if (/(?:ch|sh|x|z)es$/u.test(word)) return word.slice(0, -2)
  return word.endsWith('s') ? word.slice(0, -1) : word
}

/** Words that belong to no name: what sex or age it is, and marks of doubt. */
const NO_NAME = /^(?:sp|spp|cf|aff|juv|male|female|m|f|cb|wc|the|a|my|our|x)$/u

/** Words that stand in the names of many, and tell none. */
const OF_MANY = new Set(
  'common giant red black green white blue european african asian desert western eastern house feeder small large'.split(
    ' ',
  ),
)

/** The words of a name as they are compared. */
export function wordsOfName(text: string): string[] {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/['’`´]s?\b/gu, '')
    .replace(/\([^)]*\)|\[[^\]]*\]|["“”].*?["“”]/gu, ' ')
    .split(/[^\p{L}\d]+/u)
    .filter((word) => word !== '')
    .map(singular)
}

interface Name {
  sheet: string
  name: string
  words: readonly string[]
  key: string
  is: 'name' | 'called' | 'latin'
}

function namesOf(sheet: Sheet): Name[] {
  const named = (name: string, is: Name['is']): Name => {
    const words = wordsOfName(name)
    return { sheet: sheet.id, name, words, key: words.join(''), is }
  }
  return [
    named(sheet.common, 'name'),
    named(sheet.latin, 'latin'),
    ...sheet.otherNames.map((name) => named(name, 'name')),
    ...(sheet.alsoCalled ?? []).map((name) =>
      named(name, /^[A-Z]\p{Ll}+ \p{Ll}+/u.test(name) ? 'latin' : 'called'),
    ),
  ]
}

/** Letters that may be wrong in a name of so many. */
function mayDiffer(length: number): number {
  if (length < 5) return 0
  return length < 8 ? 1 : length < 13 ? 2 : 3
}

function abbreviated(
  words: readonly string[],
  { words: [genus = '', epithet = '', ...more], is }: Name,
): boolean {
  const [first = '', second = ''] = words
  const isShort = first.length <= 3 && genus.startsWith(first) && first !== ''
  return is === 'latin' && more.length === 0 && words.length === 2 && isShort && second === epithet
}

const includesAll = (all: readonly string[], some: readonly string[]) =>
  some.every((word) => all.includes(word))

function likenessTo(words: readonly string[], key: string, name: Name): LikeReason | null {
  if (key === name.key) return { code: name.is === 'called' ? 'called' : 'name', name: name.name }
  if (abbreviated(words, name)) return { code: 'abbreviated', name: name.name }
  // An abbreviation that keepers use is spelt right or is none.
  const letters = name.key.length < 5 ? Infinity : leven(key, name.key)
  if (letters <= mayDiffer(Math.min(key.length, name.key.length)))
    return { code: 'spelling', name: name.name, letters }
  if (name.key.length > 3 && includesAll(words, name.words)) return { code: 'within', name: name.name }
  const telling = words.filter((word) => word.length > 2 && !OF_MANY.has(word))
  if (telling.length > 0 && includesAll(name.words, telling)) return { code: 'part', name: name.name }
  if (name.is === 'latin' && words.length > 0 && words[0] === name.words[0])
    return { code: 'genus', name: name.name }
  return null
}

const RANK: readonly LikeReason['code'][] = [
  'name',
  'called',
  'abbreviated',
  'spelling',
  'within',
  'part',
  'genus',
]
const rankOf = ({ code }: LikeReason) => RANK.indexOf(code)
const PROPOSED_MOST = 6

/** What a word in a column of species may mean, the likeliest first, with its reason: by spelling, hyphens, plurals and
 * apostrophes, by scientific names cut short, and by what keepers call it. */
export function speciesLike(sheets: readonly Sheet[]): (text: string) => readonly Likeness[] {
  const names = sheets.flatMap(namesOf)
  const asked = new Map<string, readonly Likeness[]>()
  return (text) => {
    const known = asked.get(text)
    if (known) return known
    const words = wordsOfName(text).filter((word) => !NO_NAME.test(word))
    const key = words.join('')
    const best = new Map<string, LikeReason>()
    for (const name of key === '' ? [] : names) {
      const because = likenessTo(words, key, name)
      const before = best.get(name.sheet)
      if (because && (!before || rankOf(because) < rankOf(before))) best.set(name.sheet, because)
    }
    const ranked = [...best]
      .map(([sheet, because]) => ({ sheet, because }))
      .sort((a, b) => rankOf(a.because) - rankOf(b.because))
    // Where a whole name fits, those of which it is a part are none it could mean.
    const isWhole = ranked[0] && rankOf(ranked[0].because) < RANK.indexOf('within')
    const found = ranked
      .filter(({ because }) => !isWhole || rankOf(because) < RANK.indexOf('within'))
      .slice(0, PROPOSED_MOST)
    asked.set(text, found)
    return found
  }
}

/** The one sheet that a word means beyond doubt; undefined where somebody has to say. */
export function beyondDoubt(likely: readonly Likeness[]): Likeness | undefined {
  const sure = likely.filter(({ because }) => SURE.includes(because.code))
  return sure.length === 1 ? sure[0] : undefined
}
