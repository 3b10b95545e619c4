import { expect, it } from 'vitest'
import { entryOn, registerOf, stateOf, TODAY } from '../testing/residents.ts'
import { recordFile } from './recordFile.ts'

it('tells who it is and what counts of what was said, in words and as data', () => {
  const registered = entryOn(TODAY - 9, {
    kind: 'registered',
    payload: registerOf('Gaff', { hatchedOn: TODAY - 400 }),
  })
  const weighed = entryOn(TODAY - 2, { kind: 'weighed', payload: { grams: 61 } })
  const slip = entryOn(TODAY - 1, { kind: 'weighed', payload: { grams: 610 } })
  const back = {
    ...slip,
    uid: '01900000-0000-7000-8000-00000000abcd',
    kind: 'retracted',
    payload: { target: slip.uid, why: 'Slip' },
  }
  const told: unknown = JSON.parse(
    recordFile({
      house: 'The Ropewalk',
      number: '0012',
      sheet: { common: 'Leopard gecko', latin: 'Eublepharis macularius' },
      state: stateOf(registered),
      entries: [registered, weighed, slip, back as never],
      nameOf: () => 'Lotte',
      say: ({ kind }) => kind,
    }),
  )
  expect(told).toMatchObject({
    recordOf: 'Gaff',
    number: '0012',
    keptBy: 'The Ropewalk',
    register: { hatchedOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) as string },
    facts: [
      { kind: 'registered', by: 'Lotte' },
      { kind: 'weighed', data: { grams: 61 }, says: 'weighed' },
    ],
  })
})
