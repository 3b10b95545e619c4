import type { Build } from '../../facts/enclosures/build.ts'
import { roomLimits, zonesNow } from '../../plans/sheet/climate.ts'
import type { ZoneTarget } from '../../plans/sheet/climate.ts'
import type { Range } from '../../basics/range.ts'
import type { Finding, FitInput } from './finding.ts'

function count(build: Build, ...what: Build['furniture'][number]['what'][]): number {
  return build.furniture.filter((piece) => what.includes(piece.what)).length
}

function missing({ housing, build, sources }: FitInput): Finding[] {
  const from = (field: string): Pick<Finding, 'source'> => {
    const source = sources?.[field]
    return source ? { source } : {}
  }
  const findings: Finding[] = []
  const hides = count(build, 'hide', 'dampHide')
  if (housing?.hides !== undefined && hides < housing.hides)
    findings.push({ code: 'fewHides', severity: 'watch', needs: housing.hides, has: hides, ...from('hides') })
  if (housing?.lock && !build.lock) findings.push({ code: 'noLock', severity: 'act', ...from('lock') })
  if (housing?.meshMm !== undefined && build.meshMm !== undefined && build.meshMm > housing.meshMm)
    findings.push({
      code: 'meshWide',
      severity: 'act',
      needs: housing.meshMm,
      has: build.meshMm,
      ...from('meshMm'),
    })
  if (housing?.climbing && count(build, 'climbing', 'perch') === 0)
    findings.push({ code: 'noClimbing', severity: 'watch', ...from('climbing') })
  if (housing?.bowl && count(build, 'bowl') === 0)
    findings.push({ code: 'noBowl', severity: 'watch', ...from('bowl') })
  if (housing?.crew && build.crew.length === 0)
    findings.push({ code: 'noCrew', severity: 'info', ...from('crew') })
  return findings
}

/** What the room lacks of warmth, °C: by day of the warmest place that is wanted, by night of the coolest. Null
 * when it is warm enough. */
function lacking(
  targets: readonly ZoneTarget[],
  neverBelow: number | null,
  [coldest, warmest]: Range,
): { needs: number; has: number } | null {
  const byDay = Math.max(...targets.flatMap(({ celsius }) => celsius?.[0] ?? []))
  if (byDay > warmest) return { needs: byDay, has: warmest }
  const nights = targets.flatMap(({ nightCelsius }) => nightCelsius?.[0] ?? [])
  const byNight = Math.max(neverBelow ?? -Infinity, nights.length > 0 ? Math.min(...nights) : -Infinity)
  return byNight > coldest ? { needs: byNight, has: coldest } : null
}

/** The room against the climate that is wanted: day against day, night against night, and what harms. */
function climate({ targets = [], coolLoving = false, holds, build, roomCelsius }: FitInput): Finding[] {
  if (!roomCelsius) return []
  const now = zonesNow(targets, holds)
  const { ceiling, neverBelow } = roomLimits(now)
  const [coldest, warmest] = roomCelsius
  const findings: Finding[] = []
  const warmed = build.heaters.length > 0 || build.lamps.some(({ what }) => what === 'basking')
  if (coolLoving) {
    if (neverBelow !== null && coldest < neverBelow)
      findings.push({ code: 'roomTooCold', severity: 'act', needs: neverBelow, has: coldest })
  } else if (!warmed) {
    const lack = lacking(now, neverBelow, roomCelsius)
    if (lack) findings.push({ code: 'noHeat', severity: 'act', ...lack })
  }
  if (ceiling !== null && warmest >= ceiling)
    findings.push({ code: 'roomTooWarm', severity: 'act', needs: ceiling, has: warmest })
  return findings
}

function heaters({ build }: FitInput): Finding[] {
  return build.heaters
    .filter(({ thermostat }) => !thermostat)
    .map(({ what }) => ({ code: 'noThermostat', severity: 'act', what }))
}

function wear({ build, day }: FitInput): Finding[] {
  return build.parts.flatMap(({ what, defect, replaceBy }): Finding[] => {
    if (defect) return [{ code: 'defect', severity: 'watch', what: `${what}: ${defect}` }]
    return replaceBy !== undefined && replaceBy <= day
      ? [{ code: 'replaceDue', severity: 'watch', what }]
      : []
  })
}

/** Furniture, locks, heat and what is broken. */
export function fittings(input: FitInput): Finding[] {
  return [...missing(input), ...heaters(input), ...climate(input), ...wear(input)]
}
