import type { SignOverride } from '@kobrin/contract'
import type { Duty, Housing, Light, PlanTarget } from '@kobrin/core'
import { sayIn } from '../words/measures.ts'
import { t } from './words.ts'

/** Lines of the housing that are one number. */
export const MEASURES = [
  'lengthMm',
  'depthMm',
  'heightMm',
  'floorPerAnimalCm2',
  'hides',
  'meshMm',
] as const satisfies readonly (keyof Housing)[]
export type Measure = (typeof MEASURES)[number]

/** Lines of the light that are a range of hours. */
export const LIGHTS = ['hours', 'winterHours'] as const satisfies readonly (keyof Light)[]
export type LightLine = (typeof LIGHTS)[number]

/** What a change is about: a duty of the plan, the climate of a zone, a measure of the enclosure, the
 * hours of light. */
export type Changed =
  | { duty: Duty }
  | { zone: PlanTarget }
  | { measure: Measure; value: number }
  | { light: LightLine; hours: readonly [number, number] }

/** A change as it stands in the form. */
export interface ChangeDraft {
  days: number
  tolerance: number
  grams: number
  drop: boolean
  low: number
  high: number
  ceiling: number
  value: number
  /** Last day; null for a change without an end. */
  until: number | null
}

/** The form as it opens: what is in force now. */
export function draftOf(changed: Changed): ChangeDraft {
  const nothing = {
    days: 1,
    tolerance: 0,
    grams: 0,
    drop: false,
    low: 0,
    high: 0,
    ceiling: 0,
    value: 0,
    until: null,
  }
  if ('measure' in changed) return { ...nothing, value: changed.value }
  if ('light' in changed) return { ...nothing, low: changed.hours[0], high: changed.hours[1] }
  if ('zone' in changed) {
    const { celsius = [0, 0], ceilingCelsius = 0 } = changed.zone
    return { ...nothing, low: celsius[0], high: celsius[1], ceiling: ceilingCelsius }
  }
  const { cadence, amount } = changed.duty
  return {
    ...nothing,
    ...(cadence.type === 'every' && { days: cadence.days, tolerance: cadence.tolerance }),
    ...(amount?.by === 'portion' && { grams: amount.grams }),
  }
}

function patchOf({ id, cadence, amount }: Duty, draft: ChangeDraft): NonNullable<SignOverride['patch']> {
  if (draft.drop) return { id, drop: true }
  const factor = amount?.by === 'portion' ? draft.grams / amount.grams : 1
  return {
    id,
    ...(cadence.type === 'every' && {
      cadence: { type: 'every', days: draft.days, tolerance: draft.tolerance },
    }),
    // The bounds follow the portion, so that leftovers go on steering it.
    ...(amount?.by === 'portion' &&
      factor !== 1 && {
        amount: { ...amount, grams: draft.grams, min: amount.min * factor, max: amount.max * factor },
      }),
  }
}

/** What would be signed. */
export function changeOf(
  changed: Changed,
  draft: ChangeDraft,
): Pick<SignOverride, 'patch' | 'target' | 'housing' | 'light' | 'until'> {
  const until = draft.until === null ? {} : { until: draft.until }
  if ('duty' in changed) return { patch: patchOf(changed.duty, draft), ...until }
  if ('measure' in changed) return { housing: { [changed.measure]: draft.value }, ...until }
  if ('light' in changed) return { light: { [changed.light]: [draft.low, draft.high] }, ...until }
  const { zone, ceilingCelsius } = changed.zone
  return {
    target: {
      zone,
      celsius: [draft.low, draft.high],
      ...(ceilingCelsius !== undefined && { ceilingCelsius: draft.ceiling }),
    },
    ...until,
  }
}

export function isUntouched(changed: Changed, draft: ChangeDraft): boolean {
  const before = { ...draftOf(changed), until: draft.until }
  return JSON.stringify(before) === JSON.stringify(draft)
}

/** Where each line of the form stands in what would be signed, as the contract names it. */
export function fieldsOf(
  changed: Changed,
): Record<'days' | 'tolerance' | 'grams' | 'range' | 'ceiling' | 'value', string> {
  return {
    days: 'patch.cadence.days',
    tolerance: 'patch.cadence.tolerance',
    grams: 'patch.amount.grams',
    range: 'light' in changed ? `light.${changed.light}` : 'target.celsius',
    ceiling: 'target.ceilingCelsius',
    value: 'measure' in changed ? `housing.${changed.measure}` : 'housing',
  }
}

/** What cannot be meant, by field, before anybody is asked about it. Nothing when it can stand. */
export function wrongWith(changed: Changed, draft: ChangeDraft, today: number): Record<string, string> {
  if (draft.until !== null && draft.until < today) return { until: t('itCannotEndBefore') }
  const fields = fieldsOf(changed)
  if ('measure' in changed) return wrongMeasure(changed.measure, draft.value, fields)
  if ('light' in changed) return wrongHours(draft, fields)
  if ('zone' in changed) return wrongClimate(changed.zone, draft, fields)
  return draft.drop ? {} : wrongDuty(changed.duty, draft, fields)
}

type Fields = ReturnType<typeof fieldsOf>
type Wrong = Record<string, string>

function wrongMeasure(measure: Measure, value: number, at: Fields): Wrong {
  if (measure === 'hides' && !Number.isInteger(value)) return { [at.value]: t('howManyHidesA') }
  return value > 0 ? {} : { [at.value]: t('moreThanNone') }
}

function wrongHours({ low, high }: ChangeDraft, at: Fields): Wrong {
  if (low > high) return { [at.range]: t('theFirstNumberOf') }
  return low >= 0 && high <= 24 ? {} : { [at.range]: t('aDayHasFrom') }
}

function wrongClimate(
  { ceilingCelsius, neverBelowCelsius }: PlanTarget,
  { low, high, ceiling }: ChangeDraft,
  at: Fields,
): Wrong {
  if (low > high) return { [at.range]: t('theFirstTemperatureIs') }
  if (ceilingCelsius !== undefined && ceiling <= high)
    return { [at.ceiling]: t('theCeilingHasTo', { high: sayIn(high, '°C') }) }
  if (neverBelowCelsius !== undefined && low <= neverBelowCelsius)
    return { [at.range]: t('cAndLessHarms', { neverBelow: sayIn(neverBelowCelsius, '°C') }) }
  return {}
}

function wrongDuty({ cadence, amount }: Duty, draft: ChangeDraft, at: Fields): Wrong {
  if (cadence.type === 'every' && draft.days <= 0) return { [at.days]: t('everyHowManyDays') }
  if (cadence.type === 'every' && draft.tolerance < 0) return { [at.tolerance]: t('giveOrTakeHow') }
  if (amount?.by === 'portion' && draft.grams <= 0) return { [at.grams]: t('howManyGramsMore') }
  return {}
}
