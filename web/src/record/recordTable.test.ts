import { expect, it } from 'vitest'
import { entryOn, stateOf, TODAY } from '../testing/residents.ts'
import { recordTable } from './recordTable.ts'

it('has a line for what counts, as it is said, and nothing a spreadsheet would carry out', () => {
  const noted = entryOn(TODAY, { kind: 'noted', payload: { text: '=now()' } })
  const slip = entryOn(TODAY, { kind: 'noted', payload: { text: 'Slip' } })
  const back = {
    ...entryOn(TODAY, { kind: 'noted', payload: { text: '' } }),
    kind: 'retracted',
    payload: { target: slip.uid, why: 'Slip' },
  }
  const about = {
    house: '',
    number: '0012',
    sheet: undefined,
    state: stateOf(),
    entries: [noted, slip, back as never],
    nameOf: () => 'Lotte',
    say: () => '=now()',
  }
  expect(recordTable(about, () => '08:00').split('\r\n')).toEqual([
    'Day,Time,By,What was said',
    `2026-05-12,08:00,Lotte,"'=now()"`,
  ])
})
