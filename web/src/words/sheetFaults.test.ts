import type { SheetFault } from '@kobrin/contract'
import { describe, expect, it } from 'vitest'
import { saySheetFault } from './sheetFaults.ts'

const said: [SheetFault['what'], string][] = [
  [
    { code: 'ceilingTooLow', zone: 'warm', ceiling: 32, wanted: 33 },
    'warm: the ceiling of 32 °C is not above the 33 °C that are wanted there.',
  ],
  [
    { code: 'fahrenheit', zone: 'air', of: 'ceiling', value: 95, celsius: 35 },
    'air, ceiling: 95 °C? If that was °F, it is 35 °C.',
  ],
  [{ code: 'share', zone: 'air', value: 0.8 }, 'air: 0.8 % humidity? A share of 0.8 is written 80.'],
  [
    { code: 'stageInUse', stage: 'young', names: ['Hawser', 'Splice', 'Caulk'], more: 4 },
    'The stage "young" is missing, and Hawser, Splice, Caulk and 4 more live in it.',
  ],
  [
    { code: 'stageInUse', stage: 'young', names: ['Hawser'], more: 0 },
    'The stage "young" is missing, and Hawser lives in it.',
  ],
  [
    { code: 'optionInUse', school: 'floor', option: 'dry', by: null },
    'This site is on the side "dry" of "floor", which this sheet does not have.',
  ],
  [{ code: 'sizesLack', duty: 'feed', lack: 'width' }, 'feed: prey by width needs the width of every size.'],
  [
    { code: 'outsideGroup', of: 'meal', what: 'feed', value: 0.5, low: 0, high: 0.25 },
    '"feed" is a meal of 50 % of body weight; of its group that is plausible between 0 and 25. Is that meant?',
  ],
  [
    { code: 'noOptionStands', question: 'D3?', ultraviolet: false },
    'No side of "D3?" can stand without ultraviolet.',
  ],
  [
    { code: 'restLacks', option: 'Ten weeks', lack: 'weighing' },
    'The winter rest "Ten weeks" lacks a weighing every week: without it nobody should choose it.',
  ],
  [
    { code: 'floorTooThin', needs: 80, has: 40 },
    'The floor is mixed 40 mm deep, and the housing asks for 80 mm. Is that meant?',
  ],
  [{ code: 'vetUnnamed', sign: 'Gasping' }, '"Gasping" is urgent: its first step has to name the vet.'],
]

describe('what is wrong with a sheet', () => {
  it.each(said)('%o is a sentence', (what, sentence) => {
    expect(saySheetFault({ what })).toBe(sentence)
  })
})
