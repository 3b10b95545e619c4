import { yaml } from '@codemirror/lang-yaml'
import { ensureSyntaxTree } from '@codemirror/language'
import { EditorState } from '@codemirror/state'
import { describe, expect, it } from 'vitest'
import { fieldsAt, valuesAt } from './sheetFields.ts'
import { placeAt } from './yamlPlace.ts'

/** Where the bar stands in a text. */
function at(text: string) {
  const pos = text.indexOf('|')
  const state = EditorState.create({ doc: text.replace('|', ''), extensions: [yaml()] })
  ensureSyntaxTree(state, state.doc.length)
  return placeAt(state, pos)
}

const names = (path: readonly string[]) => fieldsAt(path).map(({ name }) => name)

describe('the place in a sheet', () => {
  it('is the sheet itself at the edge', () => {
    expect(at('id: snake\nco|')).toEqual({ path: [], field: null })
  })

  it('is a stage, in a list of them', () => {
    expect(at('stages:\n  - id: adult\n    na|')).toEqual({ path: ['stages'], field: null })
  })

  it('is a duty of a stage, in its braces', () => {
    const text = 'stages:\n  - id: adult\n    duties:\n      - { id: water, do| }'
    expect(at(text)).toEqual({ path: ['stages', 'duties'], field: null })
  })

  it('is the cadence of a duty, in braces within braces', () => {
    const text = 'stages:\n  - id: adult\n    duties:\n      - { id: water, cadence: { type: ev| } }'
    expect(at(text)).toEqual({ path: ['stages', 'duties', 'cadence'], field: 'type' })
  })

  it('is behind the braces again once they are closed', () => {
    expect(at('adult: { grams: [1, 2] }\nho|')).toEqual({ path: [], field: null })
  })

  it('is what a line of its own holds in braces', () => {
    expect(at('housing: { le| }')).toEqual({ path: ['housing'], field: null })
  })

  it('is the value of a field', () => {
    expect(at('group: li|')).toEqual({ path: [], field: 'group' })
  })
})

describe('what can be written there', () => {
  it('is what the schema of sheets knows', () => {
    expect(names([])).toContain('quarantineDays')
    expect(names(['stages'])).toEqual(expect.arrayContaining(['id', 'name', 'duties']))
    expect(names(['stages', 'duties'])).toEqual(expect.arrayContaining(['does', 'cadence', 'foods']))
  })

  it('is of every kind where there are several', () => {
    expect(names(['stages', 'duties', 'cadence'])).toEqual(
      expect.arrayContaining(['type', 'days', 'on', 'times']),
    )
  })

  it('is one of some words where only those are known', () => {
    expect(valuesAt(['group'])).toContain('salamander')
    expect(valuesAt(['stages', 'duties', 'does'])).toContain('dampen')
    expect(valuesAt(['stages', 'duties', 'cadence', 'type'])).toEqual(
      expect.arrayContaining(['every', 'weekdays']),
    )
  })

  it('is nothing where nothing is known', () => {
    expect(fieldsAt(['nobody', 'knows'])).toEqual([])
    expect(valuesAt(['common'])).toEqual([])
  })

  it('says which must be there', () => {
    expect(
      fieldsAt([])
        .filter(({ required }) => required)
        .map(({ name }) => name),
    ).toContain('sources')
  })
})
