import { adviceQuestions } from './adviceQuestions.ts'
import { carryOutQuestions } from './carryOutQuestions.ts'
import { groupQuestions } from '../plausible/groupQuestions.ts'
import { convert } from '../../basics/units/convert.ts'
import { roomLimits, zonesNow } from './climate.ts'
import type { Fault } from './fault.ts'
import type { ZoneTarget } from './climate.ts'
import type { Sheet } from './sheet.ts'
import { seasonQuestions } from './seasonQuestions.ts'
import { zonesOf } from './zonesOf.ts'

/** Warmer than any basking surface a sheet asks for, and where 45–50 °C basking begins to be doubtful. */
const HOTTEST_WANTED = 55
const HOTTEST_AIR_CEILING = 60

function fahrenheit(zone: string, of: 'target' | 'ceiling', value: number, path: Fault['path']): Fault {
  const celsius = Math.round(convert(value, '°F', '°C') ?? 0)
  return { path, what: { code: 'fahrenheit', zone, of, value, celsius } }
}

function zoneQuestions(target: ZoneTarget, path: Fault['path']): Fault[] {
  const { zone, ceilingCelsius, humidity } = target
  const questions: Fault[] = []
  for (const field of ['celsius', 'nightCelsius'] as const) {
    const high = target[field]?.[1]
    if (high !== undefined && high >= HOTTEST_WANTED)
      questions.push(fahrenheit(zone, 'target', high, [...path, field]))
  }
  if (ceilingCelsius !== undefined && ceilingCelsius >= HOTTEST_AIR_CEILING)
    questions.push(fahrenheit(zone, 'ceiling', ceilingCelsius, [...path, 'ceilingCelsius']))
  if (humidity && humidity[1] <= 1)
    questions.push({
      path: [...path, 'humidity'],
      what: { code: 'share', zone, value: humidity[1] },
    })
  return questions
}

/** An animal that is kept in warmth or cold needs a limit for what surrounds it: a basking spot can be left, a hot
 * room cannot. */
function harmQuestions(sheet: Sheet): Fault[] {
  const zones = zonesOf(sheet)
  const unsaid = zones
    .filter(({ target: { measures } }) => measures === undefined)
    .map(({ target: { zone }, path }): Fault => ({
      path: [...path, 'measures'],
      what: { code: 'measuresUnsaid', zone },
    }))
  if (sheet.targets.length === 0) return unsaid
  const { ceiling, neverBelow } = roomLimits(zonesNow(sheet.targets))
  return [
    ...unsaid,
    ...(ceiling === null ? [{ path: ['targets'], what: { code: 'ceilingUnsaid' } as const }] : []),
    ...(neverBelow === null ? [{ path: ['targets'], what: { code: 'neverBelowUnsaid' } as const }] : []),
  ]
}

/** What in a sheet can be read but looks like a slip of the unit, or leaves out what
 * can harm: asked about, not refused. */
export function sheetQuestions(sheet: Sheet): Fault[] {
  const units = zonesOf(sheet).flatMap(({ target, path }) => zoneQuestions(target, path))
  // Where the unit is doubted already, nothing more is to be said of the number.
  const doubted = new Set(units.map(({ path }) => path.slice(0, -1).join('.')))
  const questions = [
    ...units,
    ...harmQuestions(sheet),
    ...groupQuestions(sheet).filter(({ path }) => {
      const at = path.at(-1) === 'ceilingCelsius' ? path.slice(0, -1) : path
      return !doubted.has(at.join('.'))
    }),
    ...adviceQuestions(sheet),
    ...seasonQuestions(sheet),
    ...carryOutQuestions(sheet),
  ]
  const needs = sheet.housing?.floorDepthMm?.[0]
  const has = sheet.floor?.depthMm?.[1]
  if (needs !== undefined && has !== undefined && has < needs)
    questions.push({ path: ['floor', 'depthMm'], what: { code: 'floorTooThin', needs, has } })
  const hours = sheet.light?.hours?.[1]
  if (hours !== undefined && hours > 18)
    questions.push({ path: ['light', 'hours'], what: { code: 'longDay', hours } })
  return questions
}
