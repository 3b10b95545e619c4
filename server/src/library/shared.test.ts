import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { SheetGroup } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { parse } from 'yaml'
import { z } from 'zod'
import { KobrinFault } from '../errors/fault.ts'
import { readLibrary } from './readLibrary.ts'
import { readSharedSigns, withSharedSigns } from './sharedSigns.ts'

const LIBRARY = fileURLToPath(new URL('../../../library', import.meta.url))
const read = (file: string) => readFileSync(join(LIBRARY, file), 'utf8')

/** The sentences of a sheet as it was written, shared signs not among them. */
function sentencesIn(value: unknown, field = ''): string[] {
  if (field === 'item' || field === 'sources') return []
  if (typeof value === 'string') return value.length >= 16 && value.includes(' ') ? [value] : []
  if (Array.isArray(value)) return value.flatMap((one) => sentencesIn(one, field))
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([name, one]) => sentencesIn(one, name))
}

const written = readdirSync(LIBRARY)
  .filter((file) => file.endsWith('.yaml'))
  .map((file) => {
    const sheet: unknown = parse(read(file))
    return {
      file,
      group: z.looseObject({ group: SheetGroup }).parse(sheet).group,
      sentences: sentencesIn(sheet),
    }
  })

const Shared = z.array(z.strictObject({ text: z.string(), groups: z.array(SheetGroup).min(2) }))
const shared = Shared.parse(parse(read('shared/sentences.yaml')))

describe('what sheets of different groups say in the same words', () => {
  const groupsOf = new Map<string, Set<string>>()
  for (const { group, sentences } of written)
    for (const sentence of sentences)
      groupsOf.set(sentence, new Set([...(groupsOf.get(sentence) ?? []), group]))
  const pasted = [...groupsOf].filter(([, groups]) => groups.size > 1)

  it('was read for each of the groups and found true', () => {
    const known = new Map(shared.map(({ text, groups }) => [text, groups]))
    const unread = pasted.flatMap(([text, groups]) =>
      [...groups]
        .filter((group) => !known.get(text)?.some((one) => one === group))
        .map((group) => [text, group]),
    )
    expect(unread).toEqual([])
  })

  it('is said in all of those groups still', () => {
    const stale = shared.filter(({ text, groups }) => groups.some((group) => !groupsOf.get(text)?.has(group)))
    expect(stale).toEqual([])
  })
})

describe('a sign that sheets share', () => {
  const signs = readSharedSigns(LIBRARY)

  it('is taken up in its full words, at the stages the sheet names', () => {
    const sheet = {
      group: 'tarantula',
      signs: [
        { use: 'onItsBack', stages: ['adult'] },
        { sign: 'Own', severity: 'info' },
      ],
    }
    expect(withSharedSigns(sheet, signs, 'x.yaml')).toMatchObject({
      signs: [{ sign: 'On its back, legs up', severity: 'info', stages: ['adult'] }, { sign: 'Own' }],
    })
  })

  it.each([
    ['no such sign', { group: 'tarantula', signs: [{ use: 'none' }] }, 'no shared sign none'],
    ['a sign of another group', { group: 'snail', signs: [{ use: 'onItsBack' }] }, 'is not about snail'],
  ])('%s is refused, with the file', (_, sheet, said) => {
    expect(() => withSharedSigns(sheet, signs, 'x.yaml')).toThrow(KobrinFault)
    expect(() => withSharedSigns(sheet, signs, 'x.yaml')).toThrow(said)
  })

  it('is used, in each of the groups it names', () => {
    const used = new Map<string, Set<string>>()
    for (const { group, signs: own } of readLibrary())
      for (const { sign } of own) used.set(sign, new Set([...(used.get(sign) ?? []), group]))
    for (const { id, sign, groups } of signs.values())
      for (const group of groups) expect([id, group, used.get(sign)?.has(group)]).toEqual([id, group, true])
  })
})

it('every sheet says when to call the vet now', () => {
  const without = readLibrary().filter(({ signs }) => !signs.some(({ severity }) => severity === 'urgent'))
  expect(without.map(({ id }) => id)).toEqual([])
})
