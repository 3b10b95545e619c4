import type { AdviceId, Next, Verdict } from '@kobrin/core'
import en from './en/advice.ts'
import { tablesOf, wordsOf } from './i18n.ts'
import { sayDegrees, sayIn } from './measures.ts'
import { round } from './numbers.ts'

const clears: Readonly<Record<string, string>> = tablesOf('clears', en.clears)
const t: (advice: AdviceId, values: Readonly<Record<'cold' | 'degrees', string>>) => string = wordsOf(
  'advice',
  en.next satisfies Record<AdviceId, string>,
)

/** Water may change by so much in an hour, °C. */
const AN_HOUR = 2

/** "5 °C to 8 °C", or what it is called where the sheet says no number. */
function sayCold(celsius: Next['celsius']): string {
  return celsius ? `${sayIn(celsius[0], '°C', round)}–${sayIn(celsius[1], '°C', round)}` : en.restPlace
}

/** What to do next; what the sheet itself says comes first, and so do its steps. */
export function sayNext({ advice, first, steps, celsius }: Next): string {
  if (first !== undefined) return first
  const says = t(advice, { cold: sayCold(celsius), degrees: sayDegrees(AN_HOUR) })
  return steps ? [says, ...steps.map((step, index) => `${index + 1}. ${step}.`)].join(' ') : says
}

/** What makes a verdict go away; null where the headline says it all. */
export function sayClears({ what }: Verdict): string | null {
  return clears[what.code] ?? null
}
