import { describe, expect, it } from 'vitest'
import { entryOn, registerOf, stateOf, TODAY } from '../testing/residents.ts'
import { recordDocument } from './recordPdf.ts'

const registered = entryOn(TODAY - 9, { kind: 'registered', payload: registerOf('Gaff') })
const weighed = entryOn(TODAY - 3, { kind: 'weighed', payload: { grams: 1713 } })
const looked = entryOn(TODAY - 2, { kind: 'looked', payload: { seen: true } })
const slip = entryOn(TODAY - 1, { kind: 'weighed', payload: { grams: 610 } })
const back = {
  ...entryOn(TODAY - 1, { kind: 'noted', payload: { text: '' } }),
  kind: 'retracted',
  payload: { target: slip.uid, why: 'Slip' },
}

function paperOf(says: string[] = []): string {
  const document = recordDocument({
    house: 'The Ropewalk',
    number: '0012',
    sheet: undefined,
    state: stateOf(registered),
    entries: [registered, weighed, looked, slip, back as never],
    nameOf: () => 'Lotte',
    say: (entry) => (entry.kind === 'weighed' ? '1\u202f713 g' : entry.kind),
    about: ['Leopard gecko'],
    says,
    plan: ['Feed, every 3 days'],
    cautions: [],
    trusted: 'The vet comes first.',
    asOf: '2026-05-12',
    when: (at) => at.slice(0, 10),
  })
  return JSON.stringify(document.content)
}

describe('a record on paper', () => {
  it('says who it is, what it is asked for, and what counts of what was said', () => {
    const paper = paperOf()
    for (const part of ['Gaff', 'The Ropewalk', 'Feed, every 3 days', 'The vet comes first.'])
      expect(paper).toContain(part)
    expect(paper.match(/713 g/g)).toHaveLength(1)
    expect(paper).toContain('registered')
  })

  it('leaves the routine of every day to the file of data', () => {
    expect(paperOf()).not.toContain('looked')
  })

  it('has no letter that its font lacks, and no heading over nothing', () => {
    expect(paperOf()).not.toContain('\u202f')
    expect(paperOf()).not.toContain('What the record says')
    expect(paperOf(['Refused 3 times'])).toContain('What the record says')
  })
})
