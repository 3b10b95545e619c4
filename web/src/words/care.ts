import type { FloorRule, Housing, Light, Measured, SheetGroup, ZoneTarget } from '@kobrin/core'
import { words } from './en.ts'
import en from './en/care.ts'
import { tablesOf } from './i18n.ts'
import { sayIn, sayRangeIn, unitHere } from './measures.ts'
import { sayQuantity } from './readings.ts'
import { t } from './facts.ts'

/** Words of sheets, plans and enclosures: nothing of the walk waits for these. */
export const care = tablesOf(
  'care',
  en satisfies {
    group: Record<SheetGroup, string>
    measures: Record<Measured, string>
    housing: Record<keyof Housing, string>
    light: Partial<Record<keyof Light, string>>
  },
)

/** Parts of a sheet, by the field of what is unsure. */
export const sheetParts: Readonly<Record<string, string>> = care.sheetPart

/** Lines of a housing, by their field. */
export const housingLines: Readonly<Record<string, string>> = care.housing

function range(value: unknown, unit: string): string {
  if (typeof value === 'number') return sayIn(value, unit)
  return Array.isArray(value)
    ? sayRangeIn(value as [number, number], unit)
    : `${String(value)} ${unitHere(unit)}`
}

/** A range with its unit; one number where both ends are the same. */
export function span(values: readonly number[] | undefined, unit: string): string | null {
  if (!values) return null
  const [low = 0, high = low] = values
  return sayRangeIn([low, high], unit)
}

/** What a zone is called, with what is measured there and when it counts, where its name does not say. */
export function sayZone({ zone, measures, during }: ZoneTarget): string {
  const named =
    measures && !zone.includes(measures)
      ? t('zoneMeasured', { zone, measured: care.measures[measures] })
      : zone
  return during ? t('zoneDuring', { zone: named, hold: words.hold[during].toLowerCase() }) : named
}

/** The climate of a zone in one line. */
export function sayTarget({
  celsius,
  nightCelsius,
  humidity,
  humidityHarms,
  ceilingCelsius,
  neverBelowCelsius,
}: Omit<ZoneTarget, 'zone'>): string {
  const nights = span(nightCelsius, '°C')
  const parts = [
    span(celsius, '°C'),
    nights && t('nights', { range: nights }),
    span(humidity, '%'),
    humidityHarms && t('harmsBeyond', { low: humidityHarms[0], high: humidityHarms[1] }),
    ceilingCelsius === undefined ? null : t('neverAboveCelsius', { celsius: sayIn(ceilingCelsius, '°C') }),
    neverBelowCelsius === undefined
      ? null
      : t('neverBelowCelsius', { celsius: sayIn(neverBelowCelsius, '°C') }),
  ]
  return parts.filter(Boolean).join(', ')
}

/** The lines of the light as a keeper reads them, each with the field it stands in. */
export function lightLines({ hours, winterHours, uvb }: Partial<Light> = {}) {
  const share = uvb?.share.map((part) => Math.round(part * 100))
  const lines: readonly (readonly [keyof Light, string, string | null])[] = [
    ['hours', care.light.hours, span(hours, 'h')],
    ['winterHours', care.light.winterHours, span(winterHours, 'h')],
    ['uvb', t('tubeOverTheLength'), span(share, '%')],
    ['uvb', t('tubeToTheBack'), span(uvb?.distanceMm, 'mm')],
    ['uvb', sayQuantity('uvIndex'), span(uvb?.index, '')],
    ['uvb', t('uvHarmsFrom'), uvb?.harmAbove === undefined ? null : String(uvb.harmAbove)],
  ]
  return lines.flatMap(([field, term, says]) => (says === null ? [] : [{ field, term, says }]))
}

type Part = keyof typeof words.part

/** A line of the housing as a keeper reads it. */
export function sayHousing(field: string, value: unknown): string {
  if (typeof value === 'boolean') return value ? t('yes') : t('notNeeded')
  if (field === 'floorPerAnimalCm2') return range(value, 'cm²')
  if (field === 'hides') return String(value)
  if (field === 'litresPerAnimal') return range(value, 'l')
  if (field === 'numbers') {
    const { perLitre, per100Cm2, start } = value as NonNullable<Housing['numbers']>
    return t('numbers', {
      litre: perLitre.join('–'),
      floor: per100Cm2.join('–'),
      start,
    })
  }
  if (field === 'fall') {
    const { mm, part, times } = value as { mm: number; part?: Part; times?: number }
    return part && times !== undefined
      ? t('fallOrTimes', { mm: sayIn(mm, 'mm'), times, part: words.part[part] })
      : sayIn(mm, 'mm')
  }
  if (field === 'times') {
    const { part, ...sides } = value as { part: Part; [side: string]: unknown }
    const said = Object.entries(sides).map(([side, times]) => t('side', { side, times: String(times) }))
    return t('sidesOfPart', { sides: said.join(', '), part: words.part[part] })
  }
  if (field === 'freeBelowPerch') {
    const { part, times, grows } = value as NonNullable<Housing['freeBelowPerch']>
    const told = { times: times.join('–'), part: words.part[part] }
    return grows === undefined ? t('timesPart', told) : t('timesPartAfterMolt', told)
  }
  if (field === 'notLarger') {
    const { litres, untilCount } = value as { litres: number; untilCount?: number }
    return untilCount === undefined
      ? sayIn(litres, 'l')
      : t('litresUntil', { litres: sayIn(litres, 'l'), until: untilCount })
  }
  return range(value, 'mm')
}

export function sayHeldFloor({ days, checkEvery, hides, eggDays, harmlessOutside }: FloorRule): string {
  return [
    t('keptDays', { days, count: checkEvery, hides }),
    ...(eggDays === undefined ? [] : [t('eggsTakeUpTo', { count: eggDays })]),
    ...(harmlessOutside ? [] : [t('frozenBeforeItGoes')]),
  ].join(' ')
}
