import type { Draft } from '@kobrin/core'
import { FACT_KINDS } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { registerOf, teller, TODAY } from '../testing/residents.ts'
import { sayDraft } from './entry.ts'

const uid = '01900000-0000-7000-8000-0000000000ff'

function of<K extends Draft['kind']>(kind: K, payload: Extract<Draft, { kind: K }>['payload']): Draft {
  return { subject: 'tamsin', kind, payload } as Draft
}

const SAID: readonly (readonly [string, Draft])[] = [
  ['Put on record: Tamsin', of('registered', registerOf('Tamsin'))],
  ['Arrived', of('arrived', { enclosure: uid })],
  ['Arrived from a rescue', of('arrived', { enclosure: uid, source: 'a rescue' })],
  ['Died: Found in the morning', of('died', { why: 'Found in the morning' })],
  ['30 died', of('died', { count: 30 })],
  ['Left, to Another house: Exchange', of('left', { to: 'Another house', why: 'Exchange' })],
  ['Lent, to The school, back 20 May', of('left', { to: 'The school', as: 'lent', dueBack: TODAY + 8 })],
  [
    'Died: Thin for weeks; last seen alive 11 May; found by Priya; somebody was asked to look into why. Body: frozen',
    of('died', {
      why: 'Thin for weeks',
      foundBy: 'priya',
      lastAlive: TODAY - 1,
      postMortem: true,
      disposal: 'frozen',
    }),
  ],
  ['Looked into: An impaction. Body: burnt', of('examined', { found: 'An impaction', disposal: 'burnt' })],
  ['Given up as lost: Searched for a month', of('lost', { why: 'Searched for a month' })],
  ['Lives on with Orlop', of('merged', { into: 'orlop' })],
  ['15 went to begin Orlop', of('parted', { count: 15, into: 'orlop' })],
  ['12 more, from Gaff', of('gained', { count: 12, from: 'gaff' })],
  ['Gaff, in the same box, died', of('companionDied', { companion: 'gaff' })],
  ['Split from Gaff', of('arrived', { enclosure: uid, how: 'split', of: 'gaff' })],
  ['Born here, young of Gaff', of('arrived', { enclosure: uid, how: 'born', of: 'gaff' })],
  [
    'Known by: caught in the wild; young of Gaff and Orlop; chip 985 1; A nick in the tail; pale',
    of('described', {
      origin: 'wild',
      parents: ['gaff', 'orlop'],
      chip: '985 1',
      marks: 'A nick in the tail',
      pale: true,
    }),
  ],
  ['A photo', of('photographed', { photo: uid })],
  ['A photo: after the molt', of('photographed', { photo: uid, note: 'after the molt' })],
  ['Licence L-77 until 15 May', of('permitted', { number: 'L-77', until: TODAY + 3 })],
  ['Licence L-77, without end', of('permitted', { number: 'L-77', until: null })],
  ['Licence L-77 no longer needed', of('permitted', { number: 'L-77', until: null, withdrawn: true })],
  ['Stage: Adult. Grown', of('staged', { stage: 'adult', why: 'Grown' })],
  ['School: always (d3). No tube', of('schooled', { school: 'd3', option: 'always', why: 'No tube' })],
  ['Expected from a school', of('expected', { enclosure: uid, from: 'a school' })],
  [
    'Moved, 118 of 120 found: Floor worn out',
    of('moved', { to: uid, why: 'Floor worn out', expected: 120, found: 118 }),
  ],
  ['Moved out of; to be cleaned', of('vacated', { resident: uid, leaves: 'toClean' })],
  ['Cleaned', of('readied', { floor: 'cleaned' })],
  ['Emptied, floor kept', of('readied', { floor: 'kept' })],
  ['Counted 140 of 150', of('counted', { count: 140, expected: 150 })],
  [
    'Missing: 1 found again, 1 given up. In the lid',
    of('accounted', { found: 1, lost: 1, why: 'In the lid' }),
  ],
  ['9 more, found in old floor', of('gained', { count: 9, lot: uid })],
  ['Old floor put aside: Larder', of('floorKept', { of: uid, at: 'Larder' })],
  ['Old floor: nothing alive', of('floorChecked', { found: 'nothing' })],
  ['Old floor: 14 babies', of('floorChecked', { found: 'babies', count: 14 })],
  ['Old floor: some eggs', of('floorChecked', { found: 'eggs' })],
  ['Old floor thrown away', of('floorDisposed', {})],
  ['Inspected', of('checked', { duty: 'lock' })],
  ['Inspected', of('tended', { duty: 'lock testling', does: 'check' })],
  ['Fresh water 0.2 l', of('tended', { duty: 'water', does: 'water', litres: 0.2 })],
  ['Full clean', of('tended', { duty: 'fullClean', does: 'clean', scope: 'full' })],
  ['Spot-cleaned', of('tended', { duty: 'clean', does: 'clean', scope: 'spot' })],
  ['Dampened at the damp end', of('tended', { duty: 'dampen', does: 'dampen', end: 'dampEnd' })],
  ['Note answered: It was the light', of('answered', { note: uid, text: 'It was the light' })],
  ['Body condition 4', of('condition', { score: 4 })],
  [
    '5 crickets M with calcium: part taken (In blue)',
    of('fed', {
      item: 'crickets',
      size: 'M',
      count: 5,
      supplements: ['calcium'],
      outcome: 'part',
      why: 'In blue',
    }),
  ],
  ['42.5 g mouse: refused', of('fed', { item: 'mouse', grams: 42.5, outcome: 'refused' })],
  [
    'Bowl found leftovers, 25 % left, refilled',
    of('bowl', { found: 'leftovers', leftFraction: 0.25, refilled: true }),
  ],
  ['crickets: refused, in sight', of('fed', { item: 'crickets', outcome: 'refused', inSight: true })],
  [
    'Not offered: the last food still lies there',
    of('fed', { item: 'crickets', outcome: 'notOffered', uneaten: true }),
  ],
  ['Shed, only the skin was found', of('ecdysis', { stage: 'shed', skinFound: true })],
  ['Fresh water 0.2 l', of('watered', { litres: 0.2 })],
  ['Fresh water', of('watered', {})],
  ['Full clean', of('cleaned', { scope: 'full' })],
  ['Spot-cleaned', of('cleaned', { scope: 'spot' })],
  ['Dampened at the damp end 1.5 l', of('dampened', { end: 'dampEnd', litres: 1.5 })],
  ['Weighed 1\u202f612 g, looked at twice', of('weighed', { grams: 1612, confirmed: true })],
  [
    'Weighed 66 g, kept as suspect, just fed (Blue tub, 118 g, taken off)',
    of('weighed', {
      grams: 66,
      doubted: true,
      context: ['fullGut'],
      tub: { label: 'Blue tub', grams: 118 },
    }),
  ],
  ['leg span 120 mm', of('measured', { part: 'legSpan', mm: 120 })],
  [
    'Shed in pieces, old skin on toes, tail tip',
    of('ecdysis', { stage: 'shed', how: 'inPieces', retained: ['toes', 'tailTip'] }),
  ],
  ['Old skin off', of('skinCleared', {})],
  ['Old skin off: toes', of('skinCleared', { parts: ['toes'] })],
  ['Looked, not seen', of('looked', { seen: false })],
  ['warm end: 31.5 °C', of('reading', { zone: 'warm end', what: 'celsius', value: 31.5 })],
  ['Droppings: with blood', of('droppings', { kind: 'bloody' })],
  ['Open mouth (call the vet now)', of('observed', { text: 'Open mouth', severity: 'urgent' })],
  ['Sat in the bowl', of('noted', { text: 'Sat in the bowl' })],
  [
    'Hold: Gravid until 15 May. Seen digging',
    of('held', { hold: 'gravid', until: TODAY + 3, reason: 'Seen digging' }),
  ],
  ['Hold lifted: Gravid. Laid', of('released', { hold: 'gravid', reason: 'Laid' })],
  ['Took back an entry: Wrong box', of('retracted', { target: uid, why: 'Wrong box' })],
  [
    'Corrected to: Weighed 61 g. A slip',
    of('corrected', { target: uid, to: { kind: 'weighed', payload: { grams: 61 } }, why: 'A slip' }),
  ],
]

describe('an entry in one line', () => {
  it.each(SAID)('%s', (line, draft) => {
    expect(sayDraft(draft, teller)).toBe(line)
  })

  it('is known for every kind there is', () => {
    expect(new Set(SAID.map(([, { kind }]) => kind))).toEqual(
      new Set([...FACT_KINDS, 'corrected', 'retracted']),
    )
  })
})
