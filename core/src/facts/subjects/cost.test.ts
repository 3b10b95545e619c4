import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { FAMILIES } from './families.ts'

const SRC = fileURLToPath(new URL('../..', import.meta.url))

/** Every file of core that is not a test, with what it says. */
const files = new Map(
  readdirSync(SRC, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.startsWith('testing/'))
    .map((file) => [file, readFileSync(`${SRC}/${file}`, 'utf8')]),
)

/** Files other than the edge of the package that import something by its name as a value. */
function importersOf(name: string): string[] {
  const imports = new RegExp(`^import \\{[^}]*\\b${name}\\b[^}]*\\} from`, 'm')
  return [...files].flatMap(([file, text]) => (file !== 'index.ts' && imports.test(text) ? [file] : []))
}

function homeOf(kind: string): string[] {
  return [...files].flatMap(([file, text]) =>
    new RegExp(`^export const ${kind} = \\w+Kind\\(`, 'm').test(text) ? [file] : [],
  )
}

describe('what a new one costs in core', () => {
  const kinds = Object.entries(FAMILIES).flatMap(([family, { kinds: of }]) =>
    Object.keys(of).map((kind) => [kind, family] as const),
  )

  it.each(kinds)('the kind "%s" is one file and a line in its family', (kind, family) => {
    const [home, ...more] = homeOf(kind)
    expect([home?.split('/').at(-1), more]).toEqual([`${kind}.ts`, []])
    expect(importersOf(kind)).toEqual([expect.stringMatching(new RegExp(`/${family}(Family|Kinds)\\.ts$`))])
  })

  it.each(Object.keys(FAMILIES))('the family "%s" is a folder and a line in the registry', (family) => {
    expect(importersOf(`${family}Family`)).toEqual(['facts/subjects/families.ts'])
  })
})
