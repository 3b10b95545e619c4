import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { SheetGroup } from '../../plans/sheet/group.ts'
import { AMPHIBIANS, REPTILES } from '../../plans/sheet/group.ts'
import type { VerdictWhat } from '../verdicts/verdict.ts'
import type { AdviceId } from './adviceIds.ts'
import type { Case } from './circumstance.ts'

/** One line: of which verdict, in which case, what to do next, and where that comes from. */
export interface AdviceRow {
  of: VerdictWhat['code']
  when?: Case
  next: AdviceId
  source: string
}

const PRACTICE = 'common husbandry practice'
const MADER = 'Mader, Reptile Medicine and Surgery, 2nd ed., 2006'
const WRIGHT = 'Wright & Whitaker, Amphibian Medicine and Captive Husbandry, 2001'
const LEWBART = 'Lewbart, Invertebrate Medicine, 2nd ed., 2012'
const WATER_WORK = 'Noga, Fish Disease: Diagnosis and Treatment, 2nd ed., 2010'
const REST_WORK = 'McArthur, Wilkinson & Meyer, Medicine and Surgery of Tortoises and Turtles, 2004'

/** Those that molt out of a skin that has to harden, and fall, tear or are eaten while it does. */
const MOLTS: readonly SheetGroup[] = [
  ...(['tarantula', 'spider', 'scorpion', 'whipSpider', 'vinegaroon'] as const),
  ...(['millipede', 'centipede', 'mantid', 'stickInsect', 'cockroach', 'crustacean', 'isopod'] as const),
]
const HUNTERS_THAT_MOLT: readonly SheetGroup[] = [
  ...(['tarantula', 'spider', 'scorpion', 'whipSpider', 'vinegaroon', 'centipede', 'mantid'] as const),
]
const IN_WATER: readonly SheetGroup[] = ['fish', 'crustacean']
const EATS_GREENS: readonly SheetGroup[] = [
  ...(['tortoise', 'millipede', 'stickInsect', 'snail', 'cockroach', 'beetle'] as const),
]

const SKIN_OF_REPTILES: readonly HoldKind[] = ['inBlue']
const CLOSED: readonly HoldKind[] = ['premolt', 'sealedIn', 'soft']
/** Nobody reaches in and nothing is opened. */
const IN_PEACE: readonly HoldKind[] = ['founding', 'incubating', 'leaveBe']
/** Nobody takes it out to be weighed. */
const NOT_ON_THE_BALANCE: readonly HoldKind[] = [
  ...CLOSED,
  ...IN_PEACE,
  ...(['settling', 'digesting', 'gravid'] as const),
  ...SKIN_OF_REPTILES,
]
const SKIN_CAUSES = ['inBlue', 'premolt', 'sealedIn', 'soft', 'ecdysis', 'ecdysisLikely'] as const

type Row = Omit<AdviceRow, 'of'>

function of(code: VerdictWhat['code'], rows: readonly Row[]): AdviceRow[] {
  return rows.map((row) => ({ of: code, ...row }))
}

const LOSING = of('losing', [
  { when: { holds: ['winterRest'], severities: ['watch'] }, next: 'restWeighAgain', source: REST_WORK },
  { when: { holds: ['winterRest'] }, next: 'restWake', source: REST_WORK },
  { when: { holds: ['vetOrder'] }, next: 'tellTheVet', source: MADER },
  { when: { holds: IN_PEACE }, next: 'inPeaceLosing', source: PRACTICE },
  { when: { holds: CLOSED }, next: 'closedLosing', source: LEWBART },
  { when: { holds: ['gravid'] }, next: 'gravidLosing', source: MADER },
  { when: { holds: ['fasting'] }, next: 'fastLosing', source: REST_WORK },
  {
    when: { holds: ['settling', 'digesting', ...SKIN_OF_REPTILES] },
    next: 'undisturbedLosing',
    source: MADER,
  },
  { when: { groups: REPTILES, young: true }, next: 'losingYoungReptile', source: MADER },
  { when: { groups: REPTILES }, next: 'losingReptile', source: MADER },
  { when: { groups: AMPHIBIANS }, next: 'losingAmphibian', source: WRIGHT },
  { when: { groups: HUNTERS_THAT_MOLT }, next: 'losingHunterThatMolts', source: LEWBART },
  { when: { groups: MOLTS }, next: 'losingThatMolts', source: LEWBART },
  { when: { groups: ['fish'] }, next: 'losingInWater', source: WATER_WORK },
  { next: 'losingOther', source: PRACTICE },
])

const LOSS_EXPLAINED = of('lossExplained', [
  { when: { holds: ['winterRest'] }, next: 'restGoOn', source: REST_WORK },
  { when: { explainedBy: SKIN_CAUSES }, next: 'afterItsSkin', source: PRACTICE },
  { when: { holds: CLOSED }, next: 'afterItsSkin', source: PRACTICE },
  { when: { holds: IN_PEACE }, next: 'inPeace', source: PRACTICE },
  { when: { holds: ['gravid'] }, next: 'gravidInPeace', source: MADER },
  { when: { holds: ['settling', 'digesting', ...SKIN_OF_REPTILES] }, next: 'whenItIsOver', source: PRACTICE },
  { when: { explainedBy: ['heat', 'cold'] }, next: 'climateFirst', source: PRACTICE },
  { when: { explainedBy: ['spurt'] }, next: 'asPlanned', source: PRACTICE },
  { next: 'goOnWeighing', source: PRACTICE },
])

const REFUSING = of('refusing', [
  { when: { holds: ['winterRest'] }, next: 'restNoFood', source: REST_WORK },
  { when: { holds: ['vetOrder'] }, next: 'tellTheVet', source: MADER },
  { when: { holds: CLOSED }, next: 'closedRefusing', source: LEWBART },
  { when: { holds: IN_PEACE }, next: 'inPeace', source: PRACTICE },
  { when: { holds: ['fasting'] }, next: 'fastNothing', source: REST_WORK },
  { when: { holds: SKIN_OF_REPTILES }, next: 'afterTheShed', source: MADER },
  { when: { holds: ['gravid'] }, next: 'gravidRefusing', source: MADER },
  { when: { holds: ['digesting', 'settling'] }, next: 'settlingRefusing', source: PRACTICE },
  { when: { explainedBy: ['heat', 'cold'] }, next: 'climateFirst', source: PRACTICE },
  { when: { groups: MOLTS, colony: true }, next: 'colonyRefusing', source: PRACTICE },
  { when: { groups: HUNTERS_THAT_MOLT }, next: 'refusingHunterThatMolts', source: LEWBART },
  { when: { groups: MOLTS }, next: 'refusingThatMolts', source: LEWBART },
  { when: { groups: ['snake', 'lizard'], young: true }, next: 'refusingYoungReptile', source: MADER },
  { when: { groups: ['snake', 'lizard'] }, next: 'refusingReptile', source: MADER },
  { when: { groups: ['tortoise'] }, next: 'refusingTortoise', source: REST_WORK },
  { when: { groups: ['turtle'] }, next: 'refusingTurtle', source: MADER },
  { when: { groups: AMPHIBIANS }, next: 'refusingAmphibian', source: WRIGHT },
  { when: { groups: IN_WATER }, next: 'refusingInWater', source: WATER_WORK },
  { when: { groups: ['snail'] }, next: 'refusingSnail', source: LEWBART },
  { next: 'colonyRefusing', source: PRACTICE },
])

const WEIGHT = [
  ...of('gainingFast', [
    { when: { holds: ['gravid'] }, next: 'gravidInPeace', source: MADER },
    {
      when: { holds: [...CLOSED, ...IN_PEACE, 'winterRest', 'vetOrder', 'fasting'] },
      next: 'whenItIsOver',
      source: PRACTICE,
    },
    { when: { groups: EATS_GREENS }, next: 'fatThatEatsGreens', source: REST_WORK },
    { when: { groups: MOLTS }, next: 'fatThatMolts', source: LEWBART },
    { when: { young: true }, next: 'growsTooFast', source: MADER },
    { next: 'fatHunter', source: MADER },
  ]),
  ...of('notGrowing', [
    { when: { holds: [...CLOSED, ...IN_PEACE] }, next: 'whenItIsOver', source: PRACTICE },
    { when: { holds: ['winterRest'] }, next: 'restGoOn', source: REST_WORK },
    { when: { holds: ['vetOrder'] }, next: 'tellTheVet', source: MADER },
    {
      when: { holds: ['fasting', 'settling', 'digesting', 'gravid', ...SKIN_OF_REPTILES] },
      next: 'whenItIsOver',
      source: PRACTICE,
    },
    { when: { groups: REPTILES }, next: 'notGrowingReptile', source: MADER },
    { when: { groups: AMPHIBIANS }, next: 'notGrowingAmphibian', source: WRIGHT },
    { when: { groups: MOLTS }, next: 'notGrowingThatMolts', source: LEWBART },
    { next: 'notGrowingOther', source: PRACTICE },
  ]),
  ...of('suspectWeight', [
    { when: { holds: ['winterRest'] }, next: 'weighAgainNow', source: REST_WORK },
    {
      when: { holds: NOT_ON_THE_BALANCE },
      next: 'suspectHeld',
      source: PRACTICE,
    },
    { next: 'weighAgain', source: PRACTICE },
  ]),
  ...of('firstWeight', [
    {
      when: { holds: NOT_ON_THE_BALANCE },
      next: 'firstWeightHeld',
      source: PRACTICE,
    },
    { next: 'firstWeight', source: PRACTICE },
  ]),
  ...of('offItsCurve', [
    {
      when: { holds: NOT_ON_THE_BALANCE },
      next: 'whenItIsOver',
      source: PRACTICE,
    },
    { next: 'offItsCurve', source: PRACTICE },
  ]),
]

const SKIN = [
  ...of('signTooLong', [
    { when: { signs: ['soft'] }, next: 'softTooLong', source: LEWBART },
    { when: { signs: ['premolt', 'sealedIn'] }, next: 'premoltTooLong', source: LEWBART },
    { when: { groups: REPTILES, dry: true }, next: 'shedTooLongDry', source: MADER },
    { when: { groups: AMPHIBIANS }, next: 'shedTooLongAmphibian', source: WRIGHT },
    { next: 'shedTooLong', source: MADER },
  ]),
  ...of('ecdysisOverdue', [
    { when: { holds: ['winterRest'] }, next: 'restGoOn', source: REST_WORK },
    { when: { holds: [...CLOSED, ...IN_PEACE] }, next: 'inPeace', source: PRACTICE },
    { when: { groups: MOLTS, dry: true }, next: 'moltOverdueDry', source: LEWBART },
    { when: { groups: MOLTS }, next: 'moltOverdue', source: LEWBART },
    { when: { groups: REPTILES, dry: true }, next: 'shedOverdueDry', source: MADER },
    { next: 'shedOverdue', source: MADER },
  ]),
  ...of('ecdysisExpected', [
    { when: { holds: [...CLOSED, ...IN_PEACE] }, next: 'inPeace', source: PRACTICE },
    { when: { groups: MOLTS }, next: 'moltExpected', source: LEWBART },
    { next: 'shedExpected', source: MADER },
  ]),
  ...of('retainedSkin', [
    { when: { holds: ['winterRest'] }, next: 'skinInRest', source: MADER },
    { when: { groups: MOLTS }, next: 'skinThatMolts', source: LEWBART },
    { when: { groups: AMPHIBIANS }, next: 'skinOfAmphibian', source: WRIGHT },
    { when: { groups: REPTILES, severities: ['act', 'urgent'] }, next: 'skinOfReptileLate', source: MADER },
    { next: 'skinOfReptile', source: MADER },
  ]),
  ...of('limbsLost', [
    { when: { holds: CLOSED }, next: 'limbsLostSoft', source: LEWBART },
    { next: 'limbsLost', source: LEWBART },
  ]),
]

const UNSEEN = of('unseen', [
  { when: { holds: [...IN_PEACE, ...CLOSED, 'gravid'] }, next: 'unseenInPeace', source: PRACTICE },
  { when: { holds: ['inBlue', 'fasting', 'vetOrder'] }, next: 'unseenHeld', source: PRACTICE },
  { when: { holds: ['winterRest'] }, next: 'unseenInRest', source: REST_WORK },
  {
    when: { groups: [...MOLTS, 'beetle', 'butterfly'], gone: true },
    next: 'unseenGoneThatMolts',
    source: PRACTICE,
  },
  { when: { groups: [...MOLTS, 'beetle', 'butterfly'] }, next: 'unseenThatMolts', source: PRACTICE },
  { when: { gone: true }, next: 'unseenGone', source: PRACTICE },
  { next: 'unseen', source: PRACTICE },
])

const REST = [
  ...of('wake', [{ next: 'restWake', source: REST_WORK }]),
  ...of('restUnfit', [
    { when: { only: 'unweighed' }, next: 'restWeighToday', source: REST_WORK },
    { when: { only: 'noRest' }, next: 'restNotPlanned', source: REST_WORK },
    { next: 'restWake', source: REST_WORK },
  ]),
  ...of('holdOverdue', [
    { when: { hold: ['winterRest'] }, next: 'restWakeLate', source: REST_WORK },
    { when: { hold: ['founding'] }, next: 'foundingLook', source: PRACTICE },
    { when: { hold: ['incubating'] }, next: 'incubatingLate', source: PRACTICE },
    { when: { hold: ['gravid'], groups: REPTILES }, next: 'gravidLateReptile', source: MADER },
    { when: { hold: ['gravid'] }, next: 'gravidLate', source: PRACTICE },
    { when: { hold: ['fasting'] }, next: 'fastLate', source: REST_WORK },
    { when: { hold: ['vetOrder'] }, next: 'askTheVet', source: PRACTICE },
    { when: { hold: ['sealedIn', 'premolt'] }, next: 'premoltTooLong', source: LEWBART },
    { when: { hold: ['soft'] }, next: 'softTooLong', source: LEWBART },
    { when: { hold: ['inBlue'] }, next: 'shedTooLong', source: MADER },
    { next: 'holdOver', source: PRACTICE },
  ]),
]

const HEAT: readonly Row[] = [
  {
    when: { holds: ['winterRest'], high: true, harms: true },
    next: 'restTooWarm',
    source: REST_WORK,
  },
  {
    when: { holds: ['winterRest'], high: true },
    next: 'restWarm',
    source: REST_WORK,
  },
  {
    when: { holds: ['winterRest'], high: false, harms: true },
    next: 'restFrost',
    source: REST_WORK,
  },
  {
    when: { holds: ['winterRest'], high: false },
    next: 'restCold',
    source: REST_WORK,
  },
  {
    when: { inWater: true, high: true, harms: true },
    next: 'hotWater',
    source: WATER_WORK,
  },
  {
    when: { inWater: true, high: false, harms: true },
    next: 'coldWater',
    source: WATER_WORK,
  },
  { when: { inWater: true }, next: 'waterSlowly', source: WATER_WORK },
  {
    when: { groups: REPTILES, high: true, harms: true },
    next: 'hotReptile',
    source: MADER,
  },
  {
    when: { groups: REPTILES, high: false, harms: true },
    next: 'coldReptile',
    source: MADER,
  },
  {
    when: { groups: AMPHIBIANS, high: true, harms: true },
    next: 'hotAmphibian',
    source: WRIGHT,
  },
  {
    when: { groups: AMPHIBIANS, high: false, harms: true },
    next: 'coldAmphibian',
    source: WRIGHT,
  },
  {
    when: { groups: ['rodent'], high: true, harms: true },
    next: 'hotRodent',
    source: PRACTICE,
  },
  { when: { high: true, harms: true }, next: 'hotInvertebrate', source: LEWBART },
  { when: { high: false, harms: true }, next: 'coldInvertebrate', source: LEWBART },
  { when: { high: true }, next: 'warmerThanWanted', source: PRACTICE },
  { next: 'coolerThanWanted', source: PRACTICE },
]

const READING = of('reading', [
  ...HEAT.map((row) => ({ ...row, when: { quantities: ['celsius'], ...row.when } })),
  { when: { quantities: ['uvIndex'], high: true }, next: 'tooMuchUltraviolet', source: MADER },
  { when: { quantities: ['uvIndex'] }, next: 'tooLittleUltraviolet', source: MADER },
  {
    when: { quantities: ['humidity'], holds: [...CLOSED, ...IN_PEACE], high: false },
    next: 'dryInPeace',
    source: LEWBART,
  },
  {
    when: { quantities: ['humidity'], holds: ['winterRest'], high: false },
    next: 'dryInRest',
    source: REST_WORK,
  },
  { when: { quantities: ['humidity'], groups: REPTILES, high: true }, next: 'dampReptile', source: MADER },
  { when: { quantities: ['humidity'], high: true }, next: 'damp', source: PRACTICE },
  { when: { quantities: ['humidity'], groups: AMPHIBIANS }, next: 'dryAmphibian', source: WRIGHT },
  { when: { quantities: ['humidity'], groups: REPTILES }, next: 'dryReptile', source: MADER },
  { when: { quantities: ['humidity'] }, next: 'dry', source: LEWBART },
  { when: { quantities: ['chlorine'] }, next: 'chlorine', source: WATER_WORK },
  { when: { quantities: ['ammonia', 'nitrite'], harms: true }, next: 'poisonedWater', source: WATER_WORK },
  { when: { quantities: ['ammonia', 'nitrite'] }, next: 'foulWater', source: WATER_WORK },
  { when: { quantities: ['nitrate'] }, next: 'oldWater', source: WATER_WORK },
  { next: 'sourWater', source: WATER_WORK },
])

const CONDITION = of('condition', [
  {
    when: { holds: [...CLOSED, ...IN_PEACE, 'winterRest', 'vetOrder', 'fasting', ...SKIN_OF_REPTILES] },
    next: 'whenItIsOver',
    source: PRACTICE,
  },
  { when: { holds: ['gravid'], fat: true }, next: 'gravidInPeace', source: MADER },
  { when: { fat: true, groups: EATS_GREENS }, next: 'fatThatEatsGreens', source: REST_WORK },
  { when: { fat: true, groups: MOLTS }, next: 'fatThatMolts', source: LEWBART },
  { when: { fat: true }, next: 'fatHunter', source: MADER },
  { when: { groups: AMPHIBIANS }, next: 'thinAmphibian', source: WRIGHT },
  { when: { groups: MOLTS }, next: 'thinThatMolts', source: LEWBART },
  { next: 'thin', source: MADER },
])

const WORTH_KNOWING = [
  ...of('otherPrey', [
    {
      when: { holds: [...CLOSED, ...IN_PEACE, 'winterRest', 'vetOrder', 'fasting'] },
      next: 'otherPreyLater',
      source: PRACTICE,
    },
    { next: 'otherPrey', source: PRACTICE },
  ]),
  ...of('outgrows', [{ next: 'outgrows', source: PRACTICE }]),
  ...of('crowded', [
    { when: { holds: IN_PEACE }, next: 'inPeace', source: PRACTICE },
    { when: { few: true }, next: 'tooFew', source: PRACTICE },
    { next: 'crowded', source: PRACTICE },
  ]),
  ...of('grewAtMolt', [{ next: 'nothingToDo', source: PRACTICE }]),
  ...of('longerIntervals', [{ next: 'longerWithSize', source: PRACTICE }]),
  ...of('fedTwice', [
    { when: { groups: REPTILES }, next: 'fedTwiceReptile', source: MADER },
    { next: 'fedTwice', source: PRACTICE },
  ]),
]

/** What to do next about a verdict: the first line that fits counts. */
export const ADVICE: readonly AdviceRow[] = [
  ...LOSING,
  ...LOSS_EXPLAINED,
  ...REFUSING,
  ...WEIGHT,
  ...SKIN,
  ...UNSEEN,
  ...REST,
  ...READING,
  ...CONDITION,
  ...WORTH_KNOWING,
]
