import { describe, expect, it } from 'vitest'
import type { Field } from './ask.ts'
import { readAnswers, readNumber } from './readAnswers.ts'

describe('a number as keepers type it', () => {
  it.each([
    ['42.5', 42.5],
    ['42,5', 42.5],
    [' 1 612 ', 1612],
    ['1\u202f612', 1612],
    ['.5', 0.5],
    ['0', null],
    ['-3', null],
    ['1e3', null],
    ['42.5 g', null],
    ['4.2.5', null],
    ['', null],
  ])('"%s" is %s', (typed, value) => {
    expect(readNumber(typed)).toBe(value)
  })
})

const fields: Field[] = [
  { name: 'why', label: 'Why', type: 'text', value: '', required: true },
  { name: 'days', label: 'Days', type: 'number', unit: 'days', whole: true, value: '' },
  { name: 'seen', label: 'Seen', type: 'number', unit: 'animals', whole: true, orNone: true, value: '' },
  { name: 'litres', label: 'Litres', type: 'number', unit: 'l', value: '' },
  { name: 'dust', label: 'Dusted', type: 'tick', value: '' },
]

describe('a form', () => {
  it('is read field by field; what was left empty is absent', () => {
    const read = readAnswers(fields, { why: ' Gravid ', days: '14', litres: '', dust: 'yes' })
    if ('complaint' in read) throw new Error(read.complaint)
    expect([read.text('why'), read.number('days'), read.number('litres'), read.ticked('dust')]).toEqual([
      'Gravid',
      14,
      undefined,
      true,
    ])
  })

  it('takes none for an answer only where that is one', () => {
    const read = readAnswers(fields, { why: 'So', seen: '0' })
    expect('complaint' in read ? read.complaint : read.number('seen')).toBe(0)
  })

  it.each([
    [{ why: '  ' }, 'why', /^Write a word/],
    [{ why: 'So', days: '2.5' }, 'days', /^Whole days/],
    [{ why: 'So', days: '0' }, 'days', /^"0" is not a number of days/],
    [{ why: 'So', seen: '-1' }, 'seen', /^"-1" is not a number of animals/],
    [{ why: 'So', litres: 'lots' }, 'litres', /^"lots" is not a number of l/],
  ])('%o is complained about at %s', (typed, field, complaint) => {
    expect(readAnswers(fields, typed)).toEqual({
      complaint: expect.stringMatching(complaint) as string,
      field,
    })
  })
})
