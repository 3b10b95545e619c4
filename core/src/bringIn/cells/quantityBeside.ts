import type { DecimalSign, Quantity } from './quantity.ts'
import { readQuantity } from './quantity.ts'
import { whenIn } from './when.ts'

/** The number in a cell, whatever day stands beside it: "62g 12/11". Null where there is none. */
export function quantityBeside(text: string, sign: DecimalSign): Quantity | null {
  const whole = readQuantity(text, sign)
  if (whole !== null) return whole === 'unsure' ? null : whole
  const when = whenIn(text, { order: 'dmy', today: 0 })
  const read = when && when !== 'unsure' ? readQuantity(when.rest, sign) : null
  return read === 'unsure' ? null : read
}
