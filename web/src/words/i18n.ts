import type { CoreContext, LocaleMessage } from '@intlify/core-base'
import { compile, createCoreContext, registerMessageCompiler, translate } from '@intlify/core-base'
import { accented } from './accented.ts'
import { spaced } from './spaced.ts'

/** A language nobody speaks: English with every letter accented. Whatever is still plain on a screen comes from
 * nowhere in the catalogue. */
const ACCENTED = 'accented'
const LANGUAGE = globalThis.localStorage.getItem('kobrin.language')

registerMessageCompiler(compile)

const english: Record<string, unknown> = {}
/** The language does not change while a page is open: no part of it has to watch for that. */
const context = createCoreContext({ locale: 'en', messages: { en: english as LocaleMessage } }) as CoreContext

function say(key: string, values: Readonly<Record<string, string>>, count: number): string {
  return String(translate(context, key, values, { plural: count }))
}

interface Tables {
  readonly [name: string]: string | Tables
}

/** A message as it is written, or as it was made ready when the product was built. */
function isMessage(one: string | Tables): boolean {
  return typeof one === 'string' || typeof one['t'] === 'number' || typeof one['type'] === 'number'
}

/** Messages of tables within tables, by their whole name. */
function leaves(of: Tables, path: string): [name: string, message: unknown][] {
  return Object.entries(of).flatMap(([name, one]) => {
    const at = `${path}.${name}`
    return isMessage(one) ? [[at, one] as [string, unknown]] : leaves(one as Tables, at)
  })
}

function added(work: string, words: Tables): void {
  const messages = Object.fromEntries(leaves(words, work))
  Object.assign(english, LANGUAGE === ACCENTED ? accented(messages) : messages)
}

/** The names in braces of a message, and what chooses between its forms. */
type Named<M> = InBraces<M> | (M extends `${string} | ${string}` ? 'count' : never)
type InBraces<M> = M extends `${string}{${infer N}}${infer Rest}`
  ? (N extends `'${string}` ? never : N) | InBraces<Rest>
  : never

/** A number is written as this house writes numbers; what is not known stands empty. */
type Value = string | number | bigint | null | undefined
type Values<M> = [Named<M>] extends [never] ? [] : [Readonly<Record<Named<M>, Value>>]

function written(value: Value): string {
  return typeof value === 'number' ? spaced(value) : String(value ?? '')
}

/** How the sentences of one part of the product are said: by their names, with the values that stand in them.
 * Where a sentence has more than one form, `count` says which. */
export function wordsOf<W extends Readonly<Record<string, string>>>(work: string, words: W) {
  added(work, words)
  return function t<K extends string & keyof W>(key: K, ...[named]: Values<W[K]>): string {
    const given: Readonly<Record<string, Value>> = named ?? {}
    const values = Object.fromEntries(Object.entries(given).map(([name, one]) => [name, written(one)]))
    const count = given['count']
    // Where there is nothing to count there is one form.
    return say(`${work}.${key}`, values, typeof count === 'number' ? count : 1)
  }
}

type Worded<T> = { readonly [K in keyof T]: T[K] extends string ? string : Worded<T[K]> }

/** Plain words by name, in tables within tables, as they are said. */
export function tablesOf<T extends Tables>(work: string, words: T): Worded<T> {
  added(work, words)
  const worded = (of: Tables, path: string): Tables =>
    Object.fromEntries(
      Object.entries(of).map(([name, one]) => {
        const at = `${path}.${name}`
        return [name, isMessage(one) ? say(at, {}, 1) : worded(one as Tables, at)]
      }),
    )
  return worded(words, work) as Worded<T>
}
