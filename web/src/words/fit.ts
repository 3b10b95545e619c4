import type { BodyPart, Finding } from '@kobrin/core'
import { words } from './en.ts'
import { sayIn, sayMm } from './measures.ts'
import { round } from './numbers.ts'
import { t } from './facts.ts'

function grown({ part, times }: Finding): string {
  return part && times !== undefined ? t('its', { times: round(times), part: words.part[part] }) : ''
}

function measure(part: BodyPart | undefined): string {
  return part ? words.part[part] : t('itsSize')
}

interface Measured extends Finding {
  needs: number
  /** What it has; nothing where nothing is on record. */
  has: number
  by: string
}

interface Said {
  what: string
  mend: string
}

const SAYS: Record<Finding['code'], (finding: Measured) => Said> = {
  short: ({ needs, has, by }) => ({
    what: t('tooShortOf', { has: sayMm(has), needs: sayMm(needs), by }),
    mend: t('aLongerEnclosure'),
  }),
  narrow: ({ needs, has, by }) => ({
    what: t('tooNarrowOf', { has: sayMm(has), needs: sayMm(needs), by }),
    mend: t('aDeeperEnclosure'),
  }),
  low: ({ needs, has, by }) => ({
    what: t('tooLowOf', { has: sayMm(has), needs: sayMm(needs), by }),
    mend: t('aTallerEnclosure'),
  }),
  crowded: ({ needs, has }) => ({
    what: t('crowdedOfCmOf', { has: sayIn(Math.round(has), 'cm²'), needs: sayIn(Math.round(needs), 'cm²') }),
    mend: t('fewerAnimalsOrA'),
  }),
  fewLitres: ({ needs, has }) => ({
    what: t('crowdedOfLFor', { has: sayIn(Math.round(has), 'l'), needs: sayIn(Math.round(needs), 'l') }),
    mend: t('fewerAnimalsOrALarger'),
  }),
  fallsFar: ({ needs, has, by }) => ({
    what: t('aFallWouldBreak', { has: sayMm(has), needs: sayMm(needs), by }),
    mend: t('moreFloorOrA'),
  }),
  tooLarge({ needs, has, until }) {
    const when = until === undefined ? t('atThisStage') : t('untilThereAre', { until })
    return {
      what: t('tooLargeLAt', { has: sayIn(Math.round(has), 'l'), needs: sayIn(needs, 'l'), when }),
      mend: t('aSmallerNestOr'),
    }
  },
  cannotStretch: ({ needs, has }) => ({
    what: t('cannotStretchLongIn', { needs: sayMm(needs), has: sayMm(has) }),
    mend: t('longerSoThatIt'),
  }),
  floorShallow: ({ needs, has }) => ({
    what: t('floorTooShallowOf', { has: sayMm(has), needs: sayMm(needs) }),
    mend: t('addOfFloor', { needs: sayMm(needs - has) }),
  }),
  floorUnknown: ({ needs }) => ({
    what: t('nobodyWroteDownHow', { needs: sayMm(needs) }),
    mend: t('measureIt'),
  }),
  hangsTooLow: ({ needs, has, by }) => ({
    what: t('hangsTooLowTo', { has: sayMm(has), needs: sayMm(needs), by }),
    mend: t('moveThePerchUp'),
  }),
  noPerch: ({ needs }) => ({
    what: t('noPerchOnRecord'),
    mend: t('oneWithFreeBelow', { needs: sayMm(needs) }),
  }),
  unmeasured: ({ part }) => ({
    what: t('itsWasNeverMeasured', { measure: measure(part) }),
    mend: t('measureItThenThis'),
  }),
  noUvb: () => ({
    what: t('noUltravioletTube'),
    mend: t('fitOneOrChoose'),
  }),
  uvbShort: ({ needs, has }) => ({
    what: t('tubeTooShortOf', { has: sayMm(has), needs: sayMm(needs) }),
    mend: t('aLongerTubeOver'),
  }),
  uvbLong: ({ needs, has }) => ({
    what: t('tubeTooLongAt', { has: sayMm(has), needs: sayMm(needs) }),
    mend: t('aShorterOneSo'),
  }),
  uvbFar: ({ needs, has }) => ({
    what: t('tubeTooFarAt', { has: sayMm(has), needs: sayMm(needs) }),
    mend: t('hangItLowerOr'),
  }),
  uvbNear: ({ needs, has }) => ({
    what: t('tubeTooNearAt', { has: sayMm(has), needs: sayMm(needs) }),
    mend: t('hangItHigherIt'),
  }),
  uvbOld: ({ has }) => ({
    what: t('tubeDaysOld', { count: has }),
    mend: t('replaceItItShines'),
  }),
  fewHides: ({ needs, has }) => ({
    what: t('ofHides', { has, count: needs }),
    mend: t('oneAtTheWarm'),
  }),
  noLock: () => ({ what: t('noLockOnRecord'), mend: t('aLockTriedFrom') }),
  meshWide: ({ needs, has }) => ({
    what: t('meshOfMmAt', { has: sayIn(has, 'mm'), needs: sayIn(needs, 'mm') }),
    mend: t('finerMesh'),
  }),
  noClimbing: () => ({ what: t('nothingToClimb'), mend: t('branchesCorkOrA') }),
  noBowl: () => ({ what: t('noWaterBowl'), mend: t('aBowlItCan') }),
  noCrew: () => ({ what: t('noCleanUpCrew'), mend: t('addSpringtailsOrIsopods') }),
  noThermostat: ({ what }) => ({
    what: t('withoutAThermostat', { what: what ?? t('aHeater') }),
    mend: t('aThermostatWithIts'),
  }),
  tooMany: ({ needs, has }) => ({
    what: t('tooMany', { has, needs }),
    mend: t('partThem', { many: Math.max(1, Math.ceil(has - needs * 0.6)) }),
  }),
  tooFew: ({ needs, has }) => ({ what: t('tooFew', { has, needs }), mend: t('startSmaller') }),
  noGuard: () => ({ what: t('lampWithoutGuard'), mend: t('aGuardItCannot') }),
  lampUnsaid: () => ({ what: t('lampUnsaid'), mend: t('lookAndWriteDown') }),
  matUnderFloor: ({ has, needs, what }) => ({
    what: t('matUnderFloor', { what: what ?? t('aHeater'), has: sayMm(has) }),
    mend: t('heatFromAbove', { needs: sayMm(needs) }),
  }),
  coolRoom: ({ needs, has }) => ({
    what: t('coolRoom', { needs: sayIn(needs, '°C'), has: sayIn(has, '°C') }),
    mend: t('aWarmerRoomFirst'),
  }),
  noHeat: ({ needs, has }) => ({
    what: t('noHeaterCWanted', { needs: sayIn(needs, '°C'), has: sayIn(has, '°C') }),
    mend: t('aHeaterOnA'),
  }),
  roomTooCold: ({ needs, has }) => ({
    what: t('theRoomFallsTo', { has: sayIn(has, '°C'), needs: sayIn(needs, '°C') }),
    mend: t('aMilderRoomNo'),
  }),
  roomTooWarm: ({ needs, has }) => ({
    what: t('theRoomReachesC', { has: sayIn(has, '°C'), needs: sayIn(needs, '°C') }),
    mend: t('anotherRoomOrCooling'),
  }),
  defect: ({ what }) => ({ what: what ?? t('aDefect'), mend: t('repairOrReplace') }),
  replaceDue: ({ what }) => ({
    what: t('isDueToBe', { what: what ?? t('aPart') }),
    mend: t('replaceItAndWrite'),
  }),
}

/** What does not fit, and what would mend it. */
export function sayFinding(finding: Finding): Said {
  const { code, needs = 0, has } = finding
  return SAYS[code]({ ...finding, needs, has: has ?? 0, by: grown(finding) })
}
