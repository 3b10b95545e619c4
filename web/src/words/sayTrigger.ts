import { sayGrams, sayMm } from './measures.ts'
import { spaced } from './spaced.ts'
import { terms } from './terms.ts'

export type Trigger = keyof typeof terms.trigger

/** What ends a stage, as it is measured: "340 g", "60 mm long", "3 instar". */
export function sayTrigger(trigger: Trigger, value: number): string {
  if (trigger === 'grams') return sayGrams(value)
  const isLength = trigger === 'lengthMm' || trigger === 'legSpanMm'
  return `${isLength ? sayMm(value) : spaced(value)} ${terms.trigger[trigger]}`
}
