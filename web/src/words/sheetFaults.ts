import type { SheetFault } from '@kobrin/contract'
import { t } from './facts.ts'

function sayInUse({ stage, names: some, more }: Extract<SheetFault['what'], { code: 'stageInUse' }>): string {
  const who = more > 0 ? t('andMore', { some: some.join(', '), more }) : some.join(', ')
  return t('theStageIsMissing', { stage, who, count: some.length + more === 1 ? 'lives' : 'live' })
}

const REST_LACKS = {
  gate: t('whoMayRestThe'),
  hold: t('theHoldThatKeeps'),
  climate: t('itsOwnTemperatures'),
  weighing: t('aWeighingEveryWeek'),
}

const OUTSIDE = {
  zone: { about: t('isKeptAt'), unit: '°C' },
  ceiling: { about: t('isHarmedOnlyAbove'), unit: '°C' },
  meal: { about: t('isAMealOf'), unit: t('ofBodyWeight2') },
  grams: { about: 'weighs', unit: 'g' },
  mm: { about: 'measures', unit: 'mm' },
  ultraviolet: { about: t('basksAtAnIndex'), unit: '' },
  humidity: { about: t('isKeptAt'), unit: '%' },
  rhythm: { about: t('isFedEvery'), unit: t('daysUnit') },
  quarantine: { about: t('isKeptApartFor'), unit: t('daysUnit') },
  d3: { about: t('isGivenEvery'), unit: t('daysUnit') },
  lampDistance: { about: t('isLitFrom'), unit: 'mm' },
  perLitre: { about: t('hasRoomFor'), unit: t('toTheLitre') },
  per100Cm2: { about: t('hasRoomFor'), unit: t('toTheFloor') },
}

function sayOutsideGroup({
  of,
  what,
  value,
  low,
  high,
}: Extract<SheetFault['what'], { code: 'outsideGroup' }>): string {
  const { about, unit } = OUTSIDE[of]
  const told = (number: number) => Math.round((of === 'meal' ? number * 100 : number) * 1000) / 1000
  return t('ofItsGroupThat', { what, about, told: told(value), unit, told2: told(low), told3: told(high) })
}

function sayCannotCarryOut({
  why,
  stage,
  duty,
  asks = 0,
  most = 0,
}: Extract<SheetFault['what'], { code: 'cannotCarryOut' }>): string {
  const at = `${stage}, ${duty}: `
  switch (why) {
    case 'tooWet':
      return t('lIsMoreThan', { at, asks, most })
    case 'bowlTooLarge':
      return t('aBowlOfL', { at, asks, most })
    case 'tankEmptied':
      return t('lIsMoreThanMay', { at, asks, most })
    case 'noBowl':
      return t('waterIsToBe', { at })
    case 'noCrew':
      return t('aCleanUpCrew', { at })
    case 'livingFloorOut':
      return t('aLivingFloorIs', { at })
    case 'noFloorForOne':
      return t('eachNeedsCmOf', { stage, asks, most })
    case 'noVolumeForOne':
      return t('eachNeedsLAnd', { stage, asks, most })
  }
}

type What = SheetFault['what']

const SAYS: { [C in What['code']]: (what: Extract<What, { code: C }>) => string } = {
  unread: (what) => what.message,
  tangled: () => t('itRefersToItself'),
  otherSheet: (what) => t('thisIsTheSheet', { sheet: what.sheet, asked: what.asked }),
  stageInUse: (what) => sayInUse(what),
  optionInUse: (what) =>
    t('isOnTheSide', { by: what.by ?? t('thisSite'), option: what.option, school: what.school }),
  twice: (what) => t('thereAreTwoCalled', { what: what.what, id: what.id }),
  backwards: (what) => t('theRangeBeginsAt', { of: what.of, from: what.from, to: what.to }),
  ceilingTooLow: (what) =>
    t('theCeilingOfC', { zone: what.zone, ceiling: what.ceiling, wanted: what.wanted }),
  neverBelowTooHigh: (what) =>
    t('cBelowWhichIt', { zone: what.zone, neverBelow: what.neverBelow, wanted: what.wanted }),
  measuresUnsaid: (what) => t('sayWhatIsMeasured', { zone: what.zone }),
  ceilingUnsaid: () => t('noZoneThatSurrounds'),
  neverBelowUnsaid: () => t('noZoneThatSurroundsIt'),
  overSaturated: (what) => t('moreThan100Humidity', { zone: what.zone }),
  sizesLack: (what) =>
    what.lack === 'grams'
      ? t('aShareOfBody', { duty: what.duty })
      : t('preyByWidthNeeds', { duty: what.duty }),
  portionOutside: (what) =>
    t('thePortionOfG', { duty: what.duty, grams: what.grams, min: what.min, max: what.max }),
  noTolerance: (what) => t('itHasNoWindow', { duty: what.duty }),
  windowShut: (what) => t('itsWindowClosesBefore', { duty: what.duty }),
  neverOffered: (what) => t('mustNeverBeOffered', { duty: what.duty, item: what.item }),
  unreachable: (what) => t('nobodyCanReachDoes', { next: what.next, stage: what.stage }),
  nobodyStays: (what) =>
    t('nobodyStaysInAlready', {
      stage: what.stage,
      earlier: what.earlier,
      earlierEnds: what.earlierEnds,
      ends: what.ends,
    }),
  defaultUnknown: (what) => t('theDefaultIsNot', { question: what.question, option: what.option }),
  noOptionStands: (what) =>
    t('noSideOfCan', { question: what.question, ultraviolet: what.ultraviolet ? 'with' : 'without' }),
  restLacks: (what) => t('theWinterRestLacks', { option: what.option, rEST_LACKS: REST_LACKS[what.lack] }),
  floorTooThin: (what) => t('theFloorIsMixed', { has: what.has, needs: what.needs }),
  stageUnknown: (what) => t('thereIsNoStage', { stage: what.stage }),
  vetUnnamed: (what) => t('isUrgentItsFirst', { sign: what.sign }),
  fahrenheit({ zone, of, value, celsius }) {
    const told = { zone, what: value, celsius }
    return of === 'ceiling' ? t('ceilingIfThatWas', told) : t('cIfThatWas', told)
  },
  share: (what) => t('humidityAShareOf', { zone: what.zone, what: what.value }),
  outsideGroup: (what) => sayOutsideGroup(what),
  longDay: (what) => t('hoursOfLightA', { count: what.hours }),
  winterLonger: (what) => t('theDayIsHours', { count: what.winter, summer: what.summer }),
  seasonInRest: (what) => t('fallsIntoTheWinter', { option: what.option }),
  widerThanEyes: (what) => t('itsNeverListSays', { duty: what.duty }),
  adviceForbidden: (what) => t('advisesWhatTheNever', { says: what.says, line: what.line }),
  cannotCarryOut: (what) => sayCannotCarryOut(what),
}

/** What is wrong with a care sheet as somebody wrote it, in one sentence. */
export function saySheetFault({ what }: Pick<SheetFault, 'what'>): string {
  const say = SAYS[what.code] as (of: What) => string
  return say(what)
}
