import type { FeedOutcome } from '../../facts/feeding/feedingState.ts'
import { plain } from '../house.ts'
import { MASS_UNITS } from '../columns/meaning.ts'
import { readQuantity, unitNamed } from './quantity.ts'

const OUTCOME_WORDS: readonly (readonly [FeedOutcome, readonly string[]])[] = [
  [
    'taken',
    [
      'taken',
      'yes',
      'y',
      'x',
      'ate',
      'ate all',
      'ate it',
      'eaten',
      'all eaten',
      'accepted',
      'took',
      'took it',
      'fed',
      'ok',
      'done',
      'all',
      'all gone',
      '✓',
      '✔',
      '✔️',
      '☑',
      '✅',
      '√',
      '1',
      'true',
      'good',
    ],
  ],
  [
    'part',
    ['part', 'partly', 'some', 'half', 'ate some', 'most', 'ate half', 'left some', 'ate a bit', 'nibbled'],
  ],
  [
    'refused',
    [
      'refused',
      'refuse',
      'ref',
      'r',
      'no',
      'n',
      'not eaten',
      "didn't eat",
      'did not eat',
      'didn’t eat',
      'declined',
      'not interested',
      'ignored',
      'off food',
      '✗',
      '✘',
      '✖',
      '❌',
      '0',
      'false',
      'nothing',
    ],
  ],
  ['left', ['left', 'left in', 'not seen to eat']],
  ['notOffered', ['not offered', 'not fed', 'skipped', 'skip', 'none offered', 'in blue', 'in shed']],
]
const OUTCOMES: ReadonlyMap<string, FeedOutcome> = new Map(
  OUTCOME_WORDS.flatMap(([outcome, words]) => words.map((word) => [word, outcome] as const)),
)

/** How an offer went, as people write it; undefined where it is no such word. */
export function outcomeNamed(text: string): FeedOutcome | undefined {
  return OUTCOMES.get(plain(text).replace(/[.!]+$/u, ''))
}

/** What was offered, as far as a cell says it. */
export interface Offered {
  item?: string
  count?: number
  grams?: number
  outcome?: FeedOutcome
}

/** Words that say how it went also beside the name of a food. */
const BESIDE =
  /^(?<word>✓|✔️?|☑|✅|√|✗|✘|✖|❌|fed|ate|took|taken|eaten|accepted|refused|ref|offered|given)(?![\p{L}\d])[\s.:,-]*|[\s:,(-]+(?<last>✓|✔️?|☑|✅|√|✗|✘|✖|❌|taken|eaten|accepted|refused|ref|ate|not eaten)\)?$/iu

function amountIn(text: string): Pick<Offered, 'item' | 'count' | 'grams'> {
  const after = /^(.*\p{L}.*?)\s*(?:[x×]\s*|\()(\d{1,4})\)?$/iu.exec(text)
  if (after) return { item: (after[1] ?? '').trim(), count: Number(after[2]) }
  const weighed = /^(\d[\d.,]*)\s*(g|gr|grams?|kg)\b\s*(?:of\s+)?(.*)$/iu.exec(text)
  const mass = weighed && readQuantity(weighed[1] ?? '', '.')
  if (weighed && mass && mass !== 'unsure') {
    const unit = unitNamed((weighed[2] ?? '').toLowerCase()) as keyof typeof MASS_UNITS
    return { grams: mass.value * MASS_UNITS[unit], ...(weighed[3] && { item: weighed[3].trim() }) }
  }
  const before = /^(\d{1,4})\s*[x×]?\s+(?!week|day|month)(\p{L}.*)$/iu.exec(text)
  if (before) return { item: (before[2] ?? '').trim(), count: Number(before[1]) }
  return text === '' ? {} : { item: text }
}

/** A cell about food: the food and how many, how it went, or both: "5 crickets", "fed ✓", "mouse x2 - refused". */
export function readOffered(written: string): Offered {
  let text = written.trim()
  const whole = outcomeNamed(text)
  if (whole) return { outcome: whole }
  const found: Offered = {}
  for (;;) {
    const match = BESIDE.exec(text)
    if (!match || match[0] === text) break
    const word = match.groups?.['word'] ?? match.groups?.['last'] ?? ''
    const outcome = outcomeNamed(word)
    // "Fed ✗" and "took 2, refused": what is told against it outweighs.
    if (outcome && found.outcome !== 'refused') found.outcome = outcome
    text = text.replace(match[0], ' ').trim()
  }
  const rest = outcomeNamed(text)
  if (rest) return { outcome: found.outcome === 'refused' ? 'refused' : rest }
  return { ...found, ...amountIn(text) }
}
