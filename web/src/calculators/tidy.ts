import { spaced } from '../words/spaced.ts'

/** A calculated number as somebody measures it: three figures are enough for a bucket. */
export function tidy(value: number): string {
  const size = Math.abs(value)
  const digits = size >= 100 ? 0 : size >= 10 ? 1 : 2
  return spaced(Number(value.toFixed(digits)))
}
