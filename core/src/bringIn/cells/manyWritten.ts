import { plain } from '../house.ts'
import type { DecimalSign } from './quantity.ts'
import { readQuantity, withoutAbout } from './quantity.ts'

/** How many of each sex somebody wrote down, and whether they were sure. */
export interface Sexes {
  male: number
  female: number
  unknown: number
  unsure: boolean
}

const NO_SEX = { male: 0, female: 0, unknown: 0 }
const SEX_WORDS: readonly (readonly [keyof typeof NO_SEX, readonly string[]])[] = [
  ['male', ['m', 'male', 'males', '♂', 'boy', 'boys']],
  ['female', ['f', 'female', 'females', 'fem', '♀', 'girl', 'girls']],
  [
    'unknown',
    [
      'u',
      'unknown',
      'unsexed',
      'us',
      'ns',
      'not sexed',
      'unsure',
      'tbc',
      'n/a',
      'na',
      '-',
      '–',
      'none',
      '⚥',
      'juv',
    ],
  ],
]
const SEX_OF = new Map(SEX_WORDS.flatMap(([sex, words]) => words.map((word) => [word, sex] as const)))
const TOGETHER: Readonly<Record<string, Partial<Sexes>>> = {
  pair: { male: 1, female: 1 },
  'breeding pair': { male: 1, female: 1 },
  trio: { male: 1, female: 2 },
  '♂♀': { male: 1, female: 1 },
  '♂/♀': { male: 1, female: 1 },
  '?': { unknown: 1 },
  '??': { unknown: 1 },
}

/** Sexes as people write them: "m", "f?", "♀", "1.2.0" for males, females and those nobody knows, "2m 1f", "pair". Null
 * where it is no such word. */
export function readSexes(written: string): Sexes | null {
  const said = plain(written)
  const together = TOGETHER[said]
  if (together) return { ...NO_SEX, unsure: false, ...together }
  const { text, about } = withoutAbout(said)
  const dotted = /^(\d{1,4})\.(\d{1,4})(?:\.(\d{1,4}))?$/u.exec(text)
  if (dotted) {
    const [male = 0, female = 0, unknown = 0] = dotted.slice(1).map((part) => Number(part || 0))
    return male + female + unknown > 0 ? { male, female, unknown, unsure: about } : null
  }
  const sex = SEX_OF.get(text.replace(/\.$/u, ''))
  if (sex) return { ...NO_SEX, [sex]: 1, unsure: about }
  const parts = [...text.matchAll(/(\d{1,4})\s*x?\s*(\p{L}+|[♂♀⚥?])(?:[\s,;+&/]+|and\s|$)/gu)]
  if (parts.map(([whole]) => whole).join('') !== text || parts.length === 0) return null
  const sum: Sexes = { ...NO_SEX, unsure: about }
  for (const [, many, word = ''] of parts) {
    const of = word === '?' ? 'unknown' : SEX_OF.get(word)
    if (!of) return null
    sum[of] += Number(many)
  }
  return sum
}

export function sexesTotal({ male, female, unknown }: Sexes): number {
  return male + female + unknown
}

/** How many somebody wrote there are: so many, about so many, or null where nobody counted them. */
export interface ManyWritten {
  count: number | null
  about: boolean
}

const ANIMALS =
  /^(?:animals?|adults?|juv(?:enile)?s?|babies|baby|young|nymphs?|larvae|grubs?|pcs|pieces?|individuals?|workers?|w|specimens?|ants?|isopods?|frogs?|mixed|plus|alive|total)$/u
const CONTAINER =
  /^(?:\d+\s*)?(?:x\s*)?(?:\p{L}+\s+)?(?:tubs?|cups?|box(?:es)?|cultures?|colon(?:y|ies)|bins?|containers?|jars?|pots?|bags?|tanks?|racks?|trays?|nests?|batch(?:es)?)$/u
const UNCOUNTED =
  /^(?:lots|many|heaps|loads|tons|several|few|a few|some|plenty|unknown|uncounted|not counted|n\/?a|thriving|100s|1000s|(?:a few |some )?(?:hundreds|thousands|dozens)|\?+|-|–|∞|full|booming)$/u
const QUEEN = /^(?:(\d+)\s*)?(?:q|queens?)(?: only| alone)?$/u

function part(text: string, sign: DecimalSign): ManyWritten | 'unsure' | null {
  const queen = QUEEN.exec(text)
  if (queen) return { count: Number(queen[1] ?? 1), about: false }
  if (/^(?:brood|eggs?|larvae|pupae)$/u.test(text)) return { count: 0, about: true }
  if (UNCOUNTED.test(text) || CONTAINER.test(text)) return { count: null, about: true }
  const bare = text.replace(/^(?:queenless|workers?|adults?|young)[\s:]+/u, '')
  const words = /^(.*\d\S*)\s+(\p{L}+)$/u.exec(bare)
  const numbered = words && ANIMALS.test(words[2] ?? '') ? (words[1] ?? '') : bare
  const read = readQuantity(numbered, sign)
  if (read === 'unsure' || read === null) return read
  if (read.unit !== '' && !ANIMALS.test(read.unit)) return null
  if (read.value < 0 || !(Number.isInteger(read.value) || read.about)) return null
  return { count: Math.round(read.value), about: read.about }
}

/** How many there are, as people write it: "~200", "500ish", "50-60", "queen + ~50", "1.2.3", "1 tub", "lots". Null where
 * it is no such word, "unsure" where its sign may be read in two ways. */
export function readMany(written: string, sign: DecimalSign): ManyWritten | 'unsure' | null {
  const said = plain(written)
  const sexes = /\.\d+\.|♂|♀|\d\s*[mf]\b/u.test(said) ? readSexes(said) : null
  if (sexes) return { count: sexesTotal(sexes), about: sexes.unsure }
  const parts = said.split(/\s*(?:\+(?=\s*\S)|&|;|\band\b|,(?=\s))\s*/u).filter((one) => one !== '')
  let sum: ManyWritten = { count: 0, about: false }
  for (const one of parts) {
    const read = part(one, sign)
    if (read === null || read === 'unsure') return read
    sum = {
      count: sum.count === null || read.count === null ? null : sum.count + read.count,
      about: sum.about || read.about,
    }
  }
  // Brood alone counts nobody.
  return parts.length === 0 ? null : sum.count === 0 ? { count: null, about: true } : sum
}
