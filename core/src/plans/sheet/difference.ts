import { own } from '../../facts/subjects/own.ts'

/** One field that differs; absent on a side where it is not written. */
export interface Difference {
  path: string
  before?: unknown
  after?: unknown
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function nameOf(item: unknown, index: number): string {
  if (!isRecord(item)) return String(index + 1)
  const name = item['id'] ?? item['zone'] ?? item['item'] ?? item['hold'] ?? item['sign']
  return typeof name === 'string' ? name : String(index + 1)
}

/** Lists are compared by what their items are called, so that one more line is one difference. */
function fieldsOf(value: unknown): Record<string, unknown> | null {
  if (isRecord(value)) return value
  if (!Array.isArray(value) || !value.some(isRecord)) return null
  return Object.fromEntries(value.map((item, index) => [nameOf(item, index), item]))
}

function compare(before: unknown, after: unknown, path: string): Difference[] {
  if (JSON.stringify(before) === JSON.stringify(after)) return []
  const [left, right] = [fieldsOf(before), fieldsOf(after)]
  if (!left || !right)
    return [
      {
        path,
        ...(before !== undefined && { before }),
        ...(after !== undefined && { after }),
      },
    ]
  return [...new Set([...Object.keys(left), ...Object.keys(right)])].flatMap((key) =>
    compare(own(left, key), own(right, key), path ? `${path}.${key}` : key),
  )
}

/** Every field in which two documents differ, by path. Order of fields does not matter. */
export function differences(before: unknown, after: unknown): Difference[] {
  return compare(before, after, '')
}
