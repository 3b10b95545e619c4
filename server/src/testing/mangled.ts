import fc from 'fast-check'

/** What no form of ours sends and anybody can. */
const NASTY: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1e308,
  -1e308,
  0.1,
  9_007_199_254_740_993,
  100_000_001,
  '',
  ' ',
  'x'.repeat(5_000),
  '\ud83d',
  '\u0000',
  'mare\u0301n',
  '\u202e\u200b',
  "' or 1=1 --",
  '../../etc/passwd',
  '01900000-0000-7000-8000-00000000ABCD',
  '0001-01-01T00:00:00.000Z',
  '2026-13-45T99:99:99.999Z',
  '+275760-09-13T00:00:00.000Z',
  'constructor',
  '__proto__',
  [],
  {},
  [[[[[[[[[[]]]]]]]]]],
  Array.from({ length: 500 }, () => null),
  JSON.parse('{"__proto__":{"a":1},"constructor":1,"toString":null}'),
]
const KEYS = [
  'constructor',
  '__proto__',
  'toString',
  'then',
  'length',
  '',
  '$where',
  'uid',
  'payload',
  'x'.repeat(300),
]

type Path = readonly (string | number)[]

function pathsIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path]
  return [path, ...Object.entries(value).flatMap(([key, inner]) => pathsIn(inner, [...path, key]))]
}

function put(value: unknown, [head, ...rest]: Path, change: (before: unknown) => unknown): unknown {
  if (head === undefined) return change(value)
  const changed = put((value as Record<string, unknown>)[head], rest, change)
  if (Array.isArray(value))
    return value.map((one, at) => (String(at) === String(head) ? changed : (one as unknown)))
  return Object.fromEntries(
    Object.entries(value as object).map(([key, one]) => [key, key === head ? changed : (one as unknown)]),
  )
}

function withKey(value: unknown, key: string, nasty: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return nasty
  return Object.fromEntries([...Object.entries(value), [key, nasty]])
}

function deep(levels: number): unknown {
  let value: unknown = 1
  for (let level = 0; level < levels; level += 1) value = level % 2 === 0 ? [value] : { a: value }
  return value
}

/** A good request's value, spoiled in a place or two. */
export function mangled(good: unknown): fc.Arbitrary<unknown> {
  const paths = pathsIn(good)
  const one = fc
    .record({
      path: fc.constantFrom(...paths),
      nasty: fc.oneof(
        { weight: 8, arbitrary: fc.constantFrom(...NASTY) },
        { weight: 2, arbitrary: fc.jsonValue({ maxDepth: 3 }) },
        { weight: 1, arbitrary: fc.integer({ min: 50, max: 3_000 }).map(deep) },
      ),
      key: fc.option(fc.constantFrom(...KEYS)),
    })
    .map(
      ({ path, nasty, key }) =>
        (value: unknown) =>
          put(value, path, (before) => (key === null ? nasty : withKey(before, key, nasty))),
    )
  return fc.array(one, { minLength: 1, maxLength: 2 }).map((changes) =>
    changes.reduce((value, change) => {
      try {
        return change(value)
      } catch {
        // The first change took away where the second would have been.
        return value
      }
    }, good),
  )
}

export const nastyText: fc.Arbitrary<string> = fc.oneof(
  fc.constantFrom(...NASTY.filter((one) => typeof one === 'string'), ...KEYS),
  fc.string({ unit: 'binary', maxLength: 40 }),
)
